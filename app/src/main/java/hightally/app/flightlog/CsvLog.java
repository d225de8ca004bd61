package hightally.app.flightlog;

import hightally.core.flightlog.FlightDay;
import hightally.core.flightlog.FlightReport;
import hightally.core.flightlog.PhaseReading;
import hightally.core.program.Trims;
import hightally.core.quantity.InvalidInputException;
import hightally.core.quantity.Said;
import hightally.core.setup.Setup;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.lang.reflect.RecordComponent;
import java.nio.ByteBuffer;
import java.nio.charset.CharacterCodingException;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.function.Function;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/**
 * Flights as comma-separated values: one row a flight and phase. The header names every column; the
 * separator may be a comma, a semicolon or a tab, and with the latter two a decimal comma is read.
 * Text that is not UTF-8 is read as Windows-1252.
 */
final class CsvLog {
  /** The columns, in the order in which they are written; read in any order. */
  static final List<String> COLUMNS =
      Stream.of(
              Stream.of("flight"),
              FlightDay.FIELDS.stream().map(CsvLog::column),
              Stream.of("phase", "roll_clicks", "pitch_clicks", "yaw_clicks"),
              Stream.of("throttle_percent", "sure", "turns_differ", "left_out", "simulated"))
          .flatMap(Function.identity())
          .toList();

  /** With these a cell of text would be run by a spreadsheet. */
  private static final String RUN = "=+-@\t\r";

  private static final String END = "\r\n";

  private CsvLog() {}

  /** A row that could not be read, and why. */
  record CsvProblem(int row, String text, Said reason) {}

  /** What a file holds: flights that can be taken, and rows that cannot be read. */
  record CsvRead(List<CsvFlight> flights, List<CsvProblem> problems) {}

  /**
   * A flight of a file.
   *
   * @param rows the lines it stands in, counted from 1 for the header
   * @param number what the file calls it; empty where it does not
   * @param baseRead whether a row is about the phase that is on when no other is; where none is,
   *     its trims are those that stand, and nobody is sure of them
   */
  record CsvFlight(
      List<Integer> rows,
      String number,
      FlightReport report,
      String leftOut,
      boolean simulated,
      boolean baseRead) {}

  /** {@code flown_on} for {@code flownOn}. */
  private static String column(RecordComponent field) {
    return field.getName().replaceAll("([A-Z])", "_$1").toLowerCase(Locale.ROOT);
  }

  static String header() {
    return CSVFormat.DEFAULT.format(COLUMNS.toArray()) + END;
  }

  /** The lines of one flight, each with its end. */
  static String lines(Flight flight, String basePhase) {
    FlightReport report = flight.report();
    List<Object> day = new ArrayList<>();
    day.add(flight.id());
    FlightDay.FIELDS.forEach(field -> day.add(cell(FlightDay.value(report, field))));
    StringBuilder text = new StringBuilder();
    for (PhaseReading reading : report.readings(basePhase)) {
      List<Object> row = new ArrayList<>(day);
      row.add(reading.phase());
      row.add(reading.trims().roll());
      row.add(reading.trims().pitch());
      row.add(reading.trims().yaw());
      row.add(reading.throttlePercent());
      row.add(reading.sure());
      row.add(reading.turnsDiffer() ? "YES" : "NO");
      row.add(still(flight.marks().leftOut()));
      row.add(flight.marks().simulated() ? "YES" : "NO");
      text.append(CSVFormat.DEFAULT.format(row.toArray())).append(END);
    }
    return text.toString();
  }

  private static Object cell(Object value) {
    return value instanceof String text ? still(text) : value == null ? "" : value;
  }

  /** Text that no spreadsheet takes for a formula: an apostrophe before it, as they write it. */
  private static String still(String text) {
    return !text.isEmpty() && RUN.indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
  }

  /** The same read back. */
  private static String plain(String cell) {
    boolean still = cell.length() > 1 && cell.charAt(0) == '\'' && RUN.indexOf(cell.charAt(1)) >= 0;
    return still ? cell.substring(1) : cell;
  }

  static String decoded(byte[] bytes) {
    if (bytes.length > 1
        && (bytes[0] == (byte) 0xFF && bytes[1] == (byte) 0xFE
            || bytes[0] == (byte) 0xFE && bytes[1] == (byte) 0xFF)) {
      return new String(bytes, StandardCharsets.UTF_16);
    }
    try {
      String text = StandardCharsets.UTF_8.newDecoder().decode(ByteBuffer.wrap(bytes)).toString();
      return text.startsWith("\uFEFF") ? text.substring(1) : text;
    } catch (CharacterCodingException e) {
      return new String(bytes, java.nio.charset.Charset.forName("windows-1252"));
    }
  }

  static CsvRead read(String text, Setup setup) {
    int end = text.indexOf('\n') < 0 ? text.length() : text.indexOf('\n');
    char separator = separator(text.substring(0, end));
    List<List<String>> rows = rows(text, separator);
    if (rows.isEmpty()) {
      throw InvalidInputException.of(
          "the file", Said.of("given.empty"), Said.of("demand.csvHeader"));
    }
    List<String> header =
        rows.get(0).stream().map(one -> one.strip().toLowerCase(Locale.ROOT)).toList();
    for (String needed : List.of("flown_on", "roll_clicks", "pitch_clicks", "yaw_clicks")) {
      if (!header.contains(needed)) {
        throw InvalidInputException.of(
            "the header", String.join(", ", header), Said.of("demand.oneColumn", "needed", needed));
      }
    }
    List<CsvProblem> problems = new ArrayList<>();
    List<CsvFlight> flights = new ArrayList<>();
    String last = null;
    for (int i = 1; i < rows.size(); i++) {
      Row row = new Row(header, rows.get(i), separator != ',');
      try {
        String flight = row.text("flight", "row " + i);
        PhaseReading reading = row.reading(setup);
        boolean goesOn = flight.equals(last);
        CsvFlight before =
            goesOn
                ? flights.get(flights.size() - 1)
                : new CsvFlight(
                    List.of(),
                    row.text("flight", ""),
                    row.report(),
                    plain(row.text("left_out", "")),
                    row.one("simulated", YesNo.class, YesNo.NO) == YesNo.YES,
                    false);
        CsvFlight more = with(before, i + 1, reading, setup);
        if (goesOn) {
          flights.set(flights.size() - 1, more);
        } else {
          flights.add(more);
        }
        last = flight;
      } catch (InvalidInputException e) {
        problems.add(new CsvProblem(i + 1, String.join(" | ", rows.get(i)), e.said()));
      }
    }
    return new CsvRead(flights, problems);
  }

  /** A row of a flight: of a phase that was not read yet. */
  private static CsvFlight with(CsvFlight flight, int line, PhaseReading reading, Setup setup) {
    boolean base = reading.phase().equals(setup.basePhase().id());
    boolean twice =
        base
            ? flight.baseRead()
            : flight.report().phases().stream()
                .anyMatch(one -> one.phase().equals(reading.phase()));
    if (twice) {
      throw InvalidInputException.of("phase", reading.phase(), Said.of("demand.eachOnce"));
    }
    List<Integer> lines = new ArrayList<>(flight.rows());
    lines.add(line);
    return new CsvFlight(
        lines,
        flight.number(),
        with(flight.report(), reading, setup),
        flight.leftOut(),
        flight.simulated(),
        flight.baseRead() || base);
  }

  private static FlightReport with(FlightReport report, PhaseReading reading, Setup setup) {
    boolean base = reading.phase().equals(setup.basePhase().id());
    List<PhaseReading> phases = new ArrayList<>(report.phases());
    if (!base) {
      phases.add(reading);
    }
    PhaseReading stays = report.readings(setup.basePhase().id()).get(0);
    return FlightDay.report(
        field -> FlightDay.value(report, field), base ? reading : stays, phases);
  }

  private static char separator(String header) {
    for (char one : new char[] {';', '\t'}) {
      if (header.indexOf(one) >= 0) {
        return one;
      }
    }
    return ',';
  }

  private static List<List<String>> rows(String text, char separator) {
    CSVFormat format =
        CSVFormat.DEFAULT
            .builder()
            .setDelimiter(separator)
            .setIgnoreEmptyLines(true)
            .setTrim(true)
            .setLenientEof(true)
            .setTrailingData(true)
            .get();
    try (CSVParser parser = CSVParser.parse(text, format)) {
      return parser.stream()
          .map(CSVRecord::toList)
          .filter(row -> row.stream().anyMatch(cell -> !cell.isEmpty()))
          .toList();
    } catch (IOException | UncheckedIOException e) {
      throw InvalidInputException.of(
          "the file", Said.of("given.unreadable"), Said.of("demand.quotesClosedAgain"));
    }
  }

  private enum YesNo {
    YES,
    NO
  }

  /** One row by the names of its columns. */
  private record Row(List<String> header, List<String> cells, boolean decimalComma) {
    String text(String column, String fallback) {
      int at = header.indexOf(column);
      String cell = at >= 0 && at < cells.size() ? cells.get(at) : "";
      return cell.isEmpty() ? fallback : cell;
    }

    double number(String column, String fallback) {
      String cell = text(column, fallback);
      boolean comma = decimalComma || cell.indexOf('.') < 0;
      String plain = comma ? cell.replace(',', '.') : cell;
      try {
        double value = Double.parseDouble(plain.replace('\u2212', '-'));
        if (Double.isFinite(value)) {
          return value;
        }
      } catch (NumberFormatException e) {
        // Told below, with the column's name.
      }
      throw InvalidInputException.of(column, cell, Said.of("demand.number"));
    }

    int clicks(String column) {
      double value = number(column, "0");
      if (value != Math.rint(value)) {
        throw InvalidInputException.of(column, value, Said.of("demand.wholeClicks"));
      }
      return (int) value;
    }

    <E extends Enum<E>> E one(String column, Class<E> kind, E fallback) {
      return kind.cast(one(column, kind.getEnumConstants(), fallback.name()));
    }

    private Object one(String column, Object[] constants, String fallback) {
      String cell = text(column, fallback).toUpperCase(Locale.ROOT);
      for (Object each : constants) {
        if (each.toString().equals(cell)) {
          return each;
        }
      }
      throw InvalidInputException.of(
          column, cell, Said.of("demand.oneOfThese", "said", List.of(constants)));
    }

    PhaseReading reading(Setup setup) {
      String phase = text("phase", setup.basePhase().id());
      if (setup.phase(phase).isEmpty()) {
        throw InvalidInputException.of(
            "phase",
            phase,
            Said.of("demand.one", "toList", setup.phases().stream().map(one -> one.id()).toList()));
      }
      return new PhaseReading(
          phase,
          new Trims(clicks("roll_clicks"), clicks("pitch_clicks"), clicks("yaw_clicks")),
          number("throttle_percent", "50"),
          one("sure", PhaseReading.Sure.class, PhaseReading.Sure.FAIRLY),
          one("turns_differ", YesNo.class, YesNo.NO) == YesNo.YES);
    }

    FlightReport report() {
      PhaseReading none = new PhaseReading("", Trims.ZERO, 50, PhaseReading.Sure.NOT, false);
      return FlightDay.report(this::value, none, List.of());
    }

    private Object value(RecordComponent field) {
      String column = column(field);
      Class<?> type = field.getType();
      if (type == LocalDate.class) {
        return date(column);
      }
      if (type.isEnum()) {
        Object[] all = type.getEnumConstants();
        return one(column, all, all[0].toString());
      }
      return type == String.class
          ? plain(text(column, ""))
          : text(column, "").isEmpty() ? null : (Double) number(column, "");
    }

    private LocalDate date(String column) {
      try {
        return LocalDate.parse(text(column, ""));
      } catch (java.time.format.DateTimeParseException e) {
        throw InvalidInputException.of(column, text(column, ""), Said.of("demand.date"));
      }
    }
  }
}
