package hightally.app.bench;

import hightally.app.words.ReaderWords;
import hightally.core.quantity.Validation;
import hightally.core.setup.Setup;
import hightally.core.signal.SignalPath;
import hightally.core.simulator.Scene;
import hightally.core.simulator.ScenePlay;
import hightally.core.simulator.SceneTour;
import io.swagger.v3.oas.annotations.Operation;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Scenes on the simulated bench; stores nothing. */
@RestController
@RequestMapping("/api/bench/scenes")
class SceneController {
  private final ReaderWords words;

  SceneController(ReaderWords words) {
    this.words = words;
  }

  /** A setup to make a tour of. */
  record TourAsked(Setup setup) {}

  /** A scene to be played on a setup. */
  record PlayAsked(Setup setup, Scene scene) {}

  /** A scene to be played on two setups. */
  record CompareAsked(Setup before, Setup after, Scene scene) {}

  @PostMapping("/tour")
  @Operation(summary = "A scene with each stick, lever and switch moved once")
  Scene tour(@RequestBody TourAsked asked) {
    return SceneTour.of(Validation.check(asked.setup()), words);
  }

  @PostMapping("/play")
  @Operation(summary = "Where every surface was through a scene, on the simulated bench")
  ScenePlay.Played play(@RequestBody PlayAsked asked) {
    return ScenePlay.play(SignalPath.of(asked.setup()), asked.scene());
  }

  @PostMapping("/compare")
  @Operation(summary = "The same scene on two setups, with what differs marked")
  ScenePlay.Compared compare(@RequestBody CompareAsked asked) {
    return ScenePlay.compare(
        SignalPath.of(asked.before()), SignalPath.of(asked.after()), asked.scene());
  }
}
