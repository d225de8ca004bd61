package hightally.core.audit;

import static org.assertj.core.api.Assertions.assertThat;

import hightally.core.Rigs;
import hightally.core.airframe.Contact;
import hightally.core.edit.Edits;
import hightally.core.quantity.HouseValues;
import hightally.core.setup.Acceptance;
import hightally.core.setup.Notebook;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import java.util.List;
import org.junit.jupiter.api.Test;

class ContactTest {
  // Each elevon goes to 80 % on roll and pitch together: 36° of arm, 50 · sin 36° = 29.4 mm.
  private static final Contact TOUCH = new Contact("right", 25, "left", -5);
  private static final Contact CLEAR = new Contact("right", 31, "left", -5);

  @Test
  void surfacesThatTouchInACornerAreFoundAndTheMendKeepsThemApart() {
    assertThat(found(CLEAR)).isEmpty();
    // Right 25 mm up needs nearly full roll and pitch; the left then stands at most 15.5 mm up.
    Contact corner = new Contact("right", 25, "left", 0);
    Finding finding = found(corner).get(0);
    assertThat(finding.severity()).isEqualTo(Finding.Severity.GROUNDS);
    Setup mended = Edits.made(with(corner), finding.mends().get(0).edits());
    double overlap = Corners.overlapMm(SignalPath.of(mended), corner);
    double margin = HouseValues.STANDARD.contactMarginMm();
    assertThat(overlap).isLessThan(-margin);
    // One percent more and the margin is gone: about 0.25 mm a percent.
    assertThat(overlap).isGreaterThan(-margin - 0.6);
    assertThat(found(TOUCH)).isEmpty();
  }

  @Test
  void anAcceptedFindingStaysWithItsReason() {
    Contact corner = new Contact("right", 25, "left", 0);
    Setup setup =
        with(corner)
            .change()
            .notebook(
                new Notebook(
                    List.of(),
                    List.of(),
                    List.of(new Acceptance("surfaces-touch", "right", "seen once, never flown")),
                    false,
                    List.of()))
            .done();
    assertThat(Audit.of(SignalPath.of(setup)))
        .filteredOn(one -> one.rule().equals("surfaces-touch"))
        .singleElement()
        .extracting(Finding::acceptedBecause)
        .isEqualTo("seen once, never flown");
  }

  private static List<Finding> found(Contact contact) {
    return Audit.of(SignalPath.of(with(contact))).stream()
        .filter(one -> one.rule().equals("surfaces-touch"))
        .toList();
  }

  private static Setup with(Contact contact) {
    return Rigs.plain().change().contacts(List.of(contact)).done();
  }
}
