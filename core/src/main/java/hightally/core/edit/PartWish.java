package hightally.core.edit;

import hightally.core.airframe.PanelRole;
import hightally.core.airframe.Side;
import hightally.core.airframe.SurfaceRole;
import hightally.core.edit.NewPartChoice.PlaceChoice;
import hightally.core.quantity.Text;
import hightally.core.setup.Setup;
import java.util.List;

/**
 * A part to add to a model.
 *
 * @param kind what sort of part
 * @param name the pilot's name for it; of a pair, for the left one
 * @param rightName of a pair, the name of the right one; else empty
 * @param role what it is for, where it is a surface
 * @param panel what it is, where it is a panel
 * @param side which half; both for a mirrored pair
 * @param at id of the panel it sits on, or of the surface whose horn drives it
 */
public record PartWish(
    NewPartKind kind,
    @Text String name,
    @Text(min = 0) String rightName,
    SurfaceRole role,
    PanelRole panel,
    Side side,
    boolean mirrored,
    @Text(min = 0, max = 40) String at) {

  /** What a new part goes to. */
  public enum PartPlace {
    NONE {
      @Override
      List<PlaceChoice> in(Setup setup) {
        return List.of();
      }
    },
    PANEL {
      @Override
      List<PlaceChoice> in(Setup setup) {
        return setup.airframe().panels().stream()
            .map(one -> new PlaceChoice(one.id(), one.name()))
            .toList();
      }
    },
    DRIVING_SURFACE {
      @Override
      List<PlaceChoice> in(Setup setup) {
        return setup.surfaces().stream().map(one -> new PlaceChoice(one.id(), one.name())).toList();
      }
    },
    INPUT {
      @Override
      List<PlaceChoice> in(Setup setup) {
        return setup.transmitter().inputs().stream()
            .map(one -> new PlaceChoice(one.id(), one.name()))
            .toList();
      }
    };

    boolean asked() {
      return this != NONE;
    }

    abstract List<PlaceChoice> in(Setup setup);
  }

  /** Sorts of parts, with what is asked for each. */
  public enum NewPartKind {
    /** A surface with a servo, a channel and a lead of its own. */
    SURFACE(PartPlace.PANEL, true, true, false),
    /** A surface on a slave rod from another one's horn. */
    SLAVE_SURFACE(PartPlace.DRIVING_SURFACE, true, true, false),
    /** A wing or tail panel. */
    PANEL(PartPlace.NONE, true, false, true),
    /** A motor with its own channel. */
    MOTOR(PartPlace.NONE, true, false, false),
    /** A channel that only follows a lever or switch: retracts, wheel brake, release. */
    SIMPLE_CHANNEL(PartPlace.INPUT, false, false, false);

    private final PartPlace place;
    private final boolean sided;
    private final boolean surface;
    private final boolean panel;

    NewPartKind(PartPlace place, boolean sided, boolean surface, boolean panel) {
      this.place = place;
      this.sided = sided;
      this.surface = surface;
      this.panel = panel;
    }

    /** What it goes to. */
    public PartPlace place() {
      return place;
    }

    /** Whether it lies left, right or in the middle, or comes as a mirrored pair. */
    public boolean sided() {
      return sided;
    }

    /** Whether it is a surface, with something it is for. */
    public boolean surface() {
      return surface;
    }

    /** Whether it is a panel of wing or tail. */
    public boolean panel() {
      return panel;
    }
  }
}
