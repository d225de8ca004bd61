package hightally.app.platform;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import hightally.app.platform.BackgroundWork.Job;
import hightally.app.platform.BackgroundWork.Stage;
import java.util.List;
import java.util.concurrent.CopyOnWriteArrayList;
import java.util.concurrent.CountDownLatch;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

class BackgroundWorkTest {
  private static final long MINUTE = 60_000;

  private final BackgroundWork work = new BackgroundWork();
  private final CountDownLatch first = new CountDownLatch(1);
  private final Job before = work.begin("first", job -> waited(first));

  private static void waited(CountDownLatch latch) {
    try {
      latch.await();
    } catch (InterruptedException e) {
      Thread.currentThread().interrupt();
    }
  }

  @AfterEach
  void end() {
    first.countDown();
    work.end();
  }

  @Test
  void whatIsAskedForComesBeforeWhatIsDueAndEachInItsOrder() {
    List<String> done = new CopyOnWriteArrayList<>();
    List<Job> all =
        List.of(
            work.begin("due 1", job -> done.add("due 1")),
            work.begin("due 2", job -> done.add("due 2")),
            work.beginAsked("asked 1", job -> done.add("asked 1")),
            work.beginAsked("asked 2", job -> done.add("asked 2")));
    first.countDown();
    work.await(all, MINUTE);
    assertThat(done).containsExactly("asked 1", "asked 2", "due 1", "due 2");
  }

  @Test
  void oneThatIsToldToStopStopsWhereItSaysHowFarItIs() {
    List<String> done = new CopyOnWriteArrayList<>();
    Job stopped =
        work.begin(
            "stopped",
            job -> {
              job.reached(0.5);
              done.add("went on");
            });
    stopped.stop();
    first.countDown();
    work.await(List.of(before, stopped), MINUTE);
    assertThat(stopped.stage()).isEqualTo(Stage.STOPPED);
    assertThat(stopped.part()).isEqualTo(0.5);
    assertThat(stopped.ended()).isTrue();
    assertThat(done).isEmpty();
  }

  @Test
  void noMoreWaitsThanMay() {
    for (int i = 0; i < 400; i++) {
      work.begin("due " + i, job -> {});
    }
    assertThatThrownBy(() -> work.beginAsked("one more", job -> {}))
        .isInstanceOf(BusyException.class);
    Job known = work.begin("due 7", job -> {});
    assertThat(known.ended()).isFalse();
  }
}
