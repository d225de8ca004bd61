package hightally.core.setup;

import hightally.core.airframe.Panel;
import hightally.core.airframe.Side;
import hightally.core.airframe.Surface;
import hightally.core.airframe.SurfaceRole;
import hightally.core.quantity.Control;

/**
 * What a stick means at a surface, by what the surface is and where: stick right is right wing
 * down, up elevator is nose up, yaw right is nose right. No description changes that.
 */
public final class MeantWay {
  private MeantWay() {}

  /**
   * 1 where the surface must go up (or right), -1 down (or left), 0 where its role says nothing.
   */
  public static int of(Setup setup, Surface surface, Control control) {
    SurfaceRole role = surface.role();
    boolean centre = surface.side() == Side.CENTRE;
    boolean across = control == Control.ROLL || control == Control.YAW && !role.sideways();
    if (across && centre) {
      return 0;
    }
    int usual = (int) Math.signum(role.usualShares(surface.side()).of(control));
    boolean hanging =
        role == SurfaceRole.V_TAIL && control == Control.YAW && hangsDown(setup, surface);
    return hanging ? -usual : usual;
  }

  /** Whether the panel it is on goes down from root to tip: then its sides answer yaw turned. */
  private static boolean hangsDown(Setup setup, Surface surface) {
    return setup.airframe().panels().stream()
        .filter(panel -> panel.id().equals(surface.place().panel()))
        .findFirst()
        .map(MeantWay::downwards)
        .orElse(false);
  }

  private static boolean downwards(Panel panel) {
    boolean rootFirst = Math.abs(panel.root().rightMm()) <= Math.abs(panel.tip().rightMm());
    double rise = panel.tip().upMm() - panel.root().upMm();
    return rootFirst ? rise < 0 : rise > 0;
  }
}
