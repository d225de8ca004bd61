package hightally.core.words;

import hightally.core.quantity.Clicks;
import hightally.core.quantity.OneOf;
import hightally.core.quantity.Quantity;
import hightally.core.quantity.Said;
import hightally.core.quantity.Turns;
import hightally.core.quantity.Unit;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.HashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/**
 * Turns what the core says into words, for one reader.
 *
 * <p>A message is a pattern of ICU's MessageFormat with named places. A value {@code x} is there as
 * {@code x}; as {@code x_cap} to begin a sentence and {@code x_mid} within one; as {@code x_after}
 * with a blank before it, or nothing where it is nothing; as {@code x_colon} with a colon behind
 * it; a list also as {@code x_and} and {@code x_or}, and as {@code x_way} with arrows. Enums are
 * told by the message under {@code TYPE.NAME} and chosen by {@code select} with {@code x_is}; whole
 * numbers are there for {@code plural}, yes and no for {@code select}.
 */
public final class Words {
  private static final String[] SIXTHS = {"", "⅙", "⅓", "½", "⅔", "⅚"};
  private static final int SIXTHS_OF_A_TURN = 6;

  private final Wording wording;
  private final Messages messages;
  private final Numbers numbers;

  private Words(Wording wording) {
    this.wording = wording;
    messages = Messages.of(wording.language());
    numbers = new Numbers(wording, messages);
  }

  /** The words for a reader. */
  public static Words of(Wording wording) {
    return new Words(wording);
  }

  /** Whether there is a message file of a language. */
  public static boolean speaks(Locale language) {
    return Messages.known(language);
  }

  /** All keys of this language's message file. */
  public Set<String> keys() {
    return messages.keys();
  }

  /** What is said, in words; empty for nothing. */
  public String say(Said said) {
    if (said.isEmpty()) {
      return "";
    }
    return switch (said.code()) {
      case "text" -> (String) said.with().get("text");
      case "all" -> joined((List<?>) said.with().get("parts"), " ");
      case "list" -> joined((List<?>) said.with().get("parts"), "list.and");
      default -> marked(filled(said.code(), values(said)));
    };
  }

  /** Whether there is a message under a key. */
  public boolean has(String key) {
    return messages.has(key);
  }

  private Map<String, Object> values(Said said) {
    Map<String, Object> values = new HashMap<>();
    said.with().forEach((name, value) -> put(values, name, value));
    return values;
  }

  private void put(Map<String, Object> values, String name, Object given) {
    Object value = given instanceof Enum<?> one && !(one instanceof Unit) ? OneOf.of(one) : given;
    if (value instanceof Integer || value instanceof Long) {
      values.put(name, value);
      return;
    }
    if (value instanceof Boolean) {
      values.put(name, value.toString());
      return;
    }
    String told = told(value);
    values.put(name, told);
    values.put(name + "_cap", capital(told));
    values.put(name + "_mid", messages.pattern("names.mid").equals("lower") ? lower(told) : told);
    values.put(name + "_after", told.isEmpty() ? "" : " " + told);
    values.put(name + "_colon", told.isEmpty() ? "" : told + ": ");
    if (value instanceof OneOf one) {
      values.put(name + "_is", one.name());
    }
    if (value instanceof Quantity quantity) {
      values.put(name + "_bare", numbers.bare(quantity));
    }
    if (value instanceof List<?> list) {
      values.put(name + "_and", joined(list, "list.and"));
      values.put(name + "_or", joined(list, "list.or"));
      values.put(name + "_way", joined(list, " → "));
    }
  }

  private String told(Object value) {
    if (value instanceof Said said) {
      return say(said);
    }
    if (value instanceof Quantity quantity) {
      return numbers.told(quantity);
    }
    if (value instanceof Clicks clicks) {
      return clicks(clicks);
    }
    if (value instanceof Turns turns) {
      return turns(turns);
    }
    if (value instanceof Number number) {
      return numbers.asGiven(number.doubleValue());
    }
    if (value instanceof LocalDate date) {
      String pattern = messages.pattern("date");
      return date.format(DateTimeFormatter.ofPattern(pattern, wording.language()));
    }
    if (value instanceof List<?> list) {
      return joined(list, ", ");
    }
    if (value instanceof Unit unit) {
      return numbers.symbol(unit);
    }
    if (value instanceof Enum<?> one) {
      return told(OneOf.of(one));
    }
    if (value instanceof OneOf one) {
      return marked(messages.pattern(one.kind() + "." + one.name()));
    }
    return String.valueOf(value);
  }

  /** With a separator, or with the one a message gives between the last two. */
  private String joined(List<?> parts, String how) {
    List<String> told = parts.stream().map(this::told).toList();
    if (!messages.has(how)) {
      return String.join(how, told);
    }
    if (told.size() < 2) {
      return String.join("", told);
    }
    String first = String.join(", ", told.subList(0, told.size() - 1));
    return marked(filled(how, Map.of("first", first, "last", told.get(told.size() - 1))));
  }

  private boolean madeUp() {
    return wording.language().getCountry().equals(Wording.MADE_UP);
  }

  private String filled(String key, Map<String, Object> values) {
    return madeUp() ? messages.filledBetweenMarks(key, values) : messages.filled(key, values);
  }

  /** In the made-up language what stands between no marks is in no catalogue. */
  private String marked(String words) {
    return madeUp() && !words.isEmpty() ? Messages.OPEN + words + Messages.CLOSE : words;
  }

  private String clicks(Clicks clicks) {
    int size = Math.abs(clicks.count());
    String way = clicks.count() < 0 ? "minus" : "plus";
    String key = clicks.count() == 0 ? "clicks.none" : "clicks." + clicks.control() + "." + way;
    return marked(filled(key, Map.of("count", size)));
  }

  private String turns(Turns turns) {
    long size = Math.abs(turns.sixths());
    String whole = size >= SIXTHS_OF_A_TURN ? Long.toString(size / SIXTHS_OF_A_TURN) : "";
    String fraction = SIXTHS[(int) (size % SIXTHS_OF_A_TURN)];
    String amount = (whole + fraction).isEmpty() ? "0" : whole + fraction;
    String key = turns.sixths() < 0 ? "turns.in" : "turns.out";
    return marked(
        filled(key, Map.of("amount", amount, "more", String.valueOf(size > SIXTHS_OF_A_TURN))));
  }

  private static String capital(String words) {
    return words.isEmpty()
        ? words
        : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
  }

  private static String lower(String words) {
    boolean shouted = words.length() > 1 && Character.isUpperCase(words.charAt(1));
    return words.isEmpty() || shouted
        ? words
        : words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
  }
}
