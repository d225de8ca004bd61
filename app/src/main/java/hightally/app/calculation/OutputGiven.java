package hightally.app.calculation;

import hightally.core.channel.Output;
import hightally.core.channel.SubTrimMode;

/** An output stage as calculations take it; what is left out has the documented default. */
record OutputGiven(
    Double pulsePer100,
    Double centre,
    Boolean reversed,
    Double subTrim,
    SubTrimMode subTrimMode,
    Double endpointLow,
    Double endpointHigh,
    Double limitLow,
    Double limitHigh,
    Double commandLimit) {

  Output output(String path) {
    Output output =
        new Output(
            Given.need(path + "pulsePer100", pulsePer100),
            Given.or(centre, 1500.0),
            Given.or(reversed, false),
            Given.or(subTrim, 0.0),
            Given.or(subTrimMode, SubTrimMode.SHIFT),
            Given.need(path + "endpointLow", endpointLow),
            Given.need(path + "endpointHigh", endpointHigh),
            Given.or(limitLow, 900.0),
            Given.or(limitHigh, 2100.0),
            Given.or(commandLimit, 150.0));
    return Given.checked(path, output);
  }
}
