/** The numbers of a transmitter's profile, in the order they are asked for. */
export const transmitterNumbers = [
  "firstChannel",
  "channelCount",
  "centreMicroseconds",
  "microsecondsPer100",
  "clickStepPercent",
  "trimRangeClicks",
  "commandLimitPercent",
  "subTrimLimitMicroseconds",
  "endpointLimitPercent",
  "shortestMicroseconds",
  "longestMicroseconds",
] as const;
