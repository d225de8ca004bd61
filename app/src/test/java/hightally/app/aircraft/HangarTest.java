package hightally.app.aircraft;

import static hightally.app.Plain.saying;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import com.fasterxml.jackson.databind.ObjectMapper;
import hightally.app.platform.ConflictException;
import hightally.app.platform.NotFoundException;
import hightally.app.platform.Page;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.io.InputStream;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.core.io.ClassPathResource;
import org.springframework.data.domain.PageImpl;
import org.springframework.data.domain.PageRequest;

/** The use case between the rim and the store, both stood in for. */
class HangarTest {
  private static final Instant NOW = Instant.parse("2026-09-05T10:00:00Z");
  private final AircraftRepository aircraft = mock(AircraftRepository.class);
  private final RevisionRepository revisions = mock(RevisionRepository.class);
  private final StoredSetups setups = mock(StoredSetups.class);
  private final RevisionHold hold = mock(RevisionHold.class);
  private final AircraftEntity one = mock(AircraftEntity.class);
  private final RevisionEntity third = new RevisionEntity(1, 3, "Third", null, false, NOW, 2);
  private final Hangar hangar =
      new Hangar(aircraft, revisions, setups, List.of(hold), Clock.fixed(NOW, ZoneOffset.UTC));
  private Setup setup;

  @BeforeEach
  void store() throws Exception {
    try (InputStream in = new ClassPathResource("demo/quillon.json").getInputStream()) {
      setup = new ObjectMapper().readValue(in, Setup.class);
    }
    when(one.id()).thenReturn(1L);
    when(one.newestRevision()).thenReturn(3);
    when(one.nextRevision(any())).thenReturn(4);
    when(aircraft.findById(1L)).thenReturn(Optional.of(one));
    when(aircraft.findLockedById(1)).thenReturn(Optional.of(one));
    when(revisions.findByAircraftIdAndNumber(1, 3)).thenReturn(Optional.of(third));
    when(revisions.save(any())).thenAnswer(call -> call.getArgument(0));
    when(setups.of(third)).thenReturn(setup);
    when(hold.why(1)).thenReturn(Optional.empty());
  }

  @Test
  void aRevisionThatMovesNothingKeepsTheTrimsAndOneThatDoesBeginsAnew() {
    Setup renamed = setup.change().trims(setup.trims()).done();
    assertThat(hangar.revise(1, 3, renamed, "Nothing").trimsHoldSince()).isEqualTo(2);
    Setup shorter =
        setup.withSurface(
            setup.surfaces().get(0).withRod(setup.surfaces().get(0).rod().withArm(9)));
    assertThat(hangar.revise(1, 3, shorter, "Arm").trimsHoldSince()).isEqualTo(4);
    assertThat(hangar.correct(1, 3, shorter, "Learned").trimsHoldSince()).isEqualTo(2);
    Revision turned = hangar.adjusted(1, 3, setup, "Rods", 9);
    assertThat(turned.trimsHoldSince()).isEqualTo(4);
    assertThat(turned.fromAdjustment()).isTrue();
  }

  @Test
  void onlyTheNewestIsRevised() {
    assertThatThrownBy(() -> hangar.revise(1, 2, setup, "Late"))
        .isInstanceOf(ConflictException.class)
        .satisfies(saying("made on revision 2, and revision 3 has been saved since"));
    verify(revisions, never()).save(any());
  }

  @Test
  void workUnderWayHoldsARevisionBackButNotItsOwn() {
    when(hold.why(1)).thenReturn(Optional.of(Said.of("refused.workOrderOpen")));
    assertThatThrownBy(() -> hangar.revise(1, 3, setup, "Meanwhile"))
        .isInstanceOf(ConflictException.class)
        .satisfies(saying("A work order of this model is already open"));
    assertThatThrownBy(() -> hangar.correct(1, 3, setup, "Meanwhile"))
        .isInstanceOf(ConflictException.class);
    verify(revisions, never()).save(any());
    assertThat(hangar.adjusted(1, 3, setup, "Done", 9).number()).isEqualTo(4);
  }

  @Test
  void aBrokenSetupReachesNothing() {
    Setup broken = setup.change().surfaces(List.of()).done();
    assertThatThrownBy(() -> hangar.revise(1, 3, broken, "Broken"))
        .isInstanceOf(InvalidInputException.class);
    verify(revisions, never()).save(any());
    verify(setups, never()).store(any(), any());
  }

  @Test
  void headersAreAnsweredWithoutReadingASetup() {
    when(revisions.findByAircraftIdOrderByNumberDesc(1, PageRequest.of(0, 10)))
        .thenReturn(new PageImpl<>(List.of(third), PageRequest.of(0, 10), 31));
    Page<RevisionHeader> part = hangar.headers(1, new Page.Asked(0, 10));
    assertThat(part.total()).isEqualTo(31);
    assertThat(part.items())
        .containsExactly(new RevisionHeader(3, "Third", false, false, 2, NOW, false, false));
    verify(setups, never()).of(any());
  }

  @Test
  void whatIsNotThereIsSaid() {
    assertThatThrownBy(() -> hangar.newest(7))
        .isInstanceOf(NotFoundException.class)
        .satisfies(saying("There is no model 7."));
    assertThatThrownBy(() -> hangar.revision(1, 99))
        .satisfies(saying("There is no revision 99 of this model."));
    assertThatThrownBy(() -> hangar.alone(7)).isInstanceOf(NotFoundException.class);
  }
}
