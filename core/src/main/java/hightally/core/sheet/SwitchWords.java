package hightally.core.sheet;

import hightally.core.channel.TransmitterInput;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import hightally.core.sheet.SwitchHangs.Hang;
import java.util.List;

/** What a position of a switch is called by: what it brings. */
public final class SwitchWords {
  private SwitchWords() {}

  /** Of a position, counted from 1: what it brings, or that it stands for all else. */
  static Said of(Setup setup, TransmitterInput input, int position) {
    return of(setup, SwitchHangs.of(setup), input, position);
  }

  static Said of(Setup setup, List<Hang> hangs, TransmitterInput input, int position) {
    List<Hang> bringing =
        hangs.stream()
            .filter(one -> one.input().equals(input.id()))
            .filter(one -> one.position() != SwitchHangs.ANYWHERE && !one.brought().isEmpty())
            .toList();
    List<Said> here =
        bringing.stream()
            .filter(one -> one.position() == position)
            .map(Hang::brought)
            .distinct()
            .toList();
    if (!here.isEmpty()) {
      return Said.of("switch.brings", "what", here);
    }
    if (bringing.stream().anyMatch(Hang::phase)) {
      return Said.of("switch.normalPhase", "phase", setup.basePhase().name());
    }
    return bringing.isEmpty() ? Said.NOTHING : Said.of("switch.normal");
  }
}
