package io.causticon.core.model.said.entry;

import static io.causticon.core.model.said.entry.Patterns.DEGREES;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.log.Bath;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Interval;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** The pots before lye and fats meet, and temperatures everywhere. */
final class PotKinds {

    private static final Map<String, MeasurementPoint> SPOTS = Map.ofEntries(
            Map.entry("lye", MeasurementPoint.LYE),
            Map.entry("fats", MeasurementPoint.FATS),
            Map.entry("fat", MeasurementPoint.FATS),
            Map.entry("oils", MeasurementPoint.FATS),
            Map.entry("oil", MeasurementPoint.FATS),
            Map.entry("batter", MeasurementPoint.BATTER),
            Map.entry("core", MeasurementPoint.CORE),
            Map.entry("loaf", MeasurementPoint.CORE),
            Map.entry("room", MeasurementPoint.ROOM));

    private static final Map<String, Bath> BATHS =
            Map.of("ice", Bath.ICE_BATH, "cold", Bath.COLD_BATH, "warm", Bath.WARM_BATH, "hot", Bath.WARM_BATH);

    private static final Pattern QUOTED = Pattern.compile(Quotes.QUOTED);

    private static final EntryKind<Entry.TemperatureRead> TEMPERATURE = EntryKind.of(
                    Entry.TemperatureRead.class,
                    "temperature",
                    Authority.INSTRUMENT,
                    (e, check) -> check.degrees(
                            e.spot().name(), e.temperature(), e.spot().possibleCelsius()))
            .tells(Tells.TEMPERATURES)
            .marked(t -> mark(t.spot()))
            .words((t, n) -> Phrase.of("{} {}", Pen.lower(t.spot()), new Exactly(t.temperature())))
            .typed((t, pen) -> Pen.lower(t.spot()) + pen.temperature(" ", t.temperature()))
            .phrase(Patterns.oneOf(SPOTS) + "\\s+" + DEGREES, PotKinds::temperature)
            .on(OnStrip.CURVE);

    private static final EntryKind<Entry.Bathed> BATHED = EntryKind.of(
                    Entry.Bathed.class, "bathed", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.TEMPERATURES)
            .marked(b -> mark(b.pot()))
            .words((b, n) -> Phrase.of(
                    "{}{}",
                    Pen.lower(b.pot()),
                    switch (b.into()) {
                        case ROOM -> " out of the bath";
                        case ICE_BATH -> " into an ice bath";
                        case COLD_BATH -> " into cold water";
                        case WARM_BATH -> " into warm water";
                    }))
            .typed((b, pen) -> Pen.lower(b.pot())
                    + switch (b.into()) {
                        case ROOM -> " out";
                        case ICE_BATH -> " ice bath";
                        case COLD_BATH -> " cold bath";
                        case WARM_BATH -> " warm bath";
                    })
            .phrase(
                    "(lye|fats|oils?)\\s+(?:in(?:to)?\\s+)?(?:an?\\s+|the\\s+)?(ice|cold|warm|hot)\\s+(?:bath|water)",
                    (m, c) -> new Entry.Bathed(Patterns.meant(SPOTS, m.group(1)), Patterns.meant(BATHS, m.group(2))))
            .phrase(
                    "(lye|fats|oils?)\\s+out(?:\\s+of\\s+(?:the\\s+)?(?:bath|water))?",
                    (m, c) -> new Entry.Bathed(Patterns.meant(SPOTS, m.group(1)), Bath.ROOM))
            .notOnStrip();

    private static final EntryKind<Entry.LyeIntoFats> LYE_IN = EntryKind.of(
                    Entry.LyeIntoFats.class, "lye-in", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.POTS)
            .marked(Mark.LYE)
            .words("lye into the fats")
            .typed((e, pen) -> "lye in")
            .phrase("(?:lye\\s+in(?:to\\s+(?:fats|oils?))?|in)", (m, c) -> new Entry.LyeIntoFats())
            .event("lye in");

    private static final EntryKind<Entry.ReadyForLye> READY = EntryKind.of(
                    Entry.ReadyForLye.class, "ready", Authority.PERSON, EntryCheck.NOTHING_MORE)
            .tells(Tells.POTS)
            .words((r, n) -> r.checks().isEmpty()
                    ? Phrase.of("ready for lye")
                    : Phrase.of("ready for lye: {}", String.join(", ", r.checks())))
            .typed((r, pen) -> r.checks().isEmpty()
                    ? "ready"
                    : "ready, looked at "
                            + String.join(
                                    ", ",
                                    r.checks().stream().map(Quotes::around).toList()))
            .phrase(
                    "ready(?:\\s+for\\s+lye)?(?:,?\\s+looked\\s+at:?\\s+(.+))?",
                    (m, c) -> new Entry.ReadyForLye(checks(m.group(1))))
            .notOnStrip();

    private static final EntryKind<Entry.PortionFed> PORTION = EntryKind.of(
                    Entry.PortionFed.class, "portion", Authority.PROGRAM, PotKinds::check)
            .tells(Tells.POTS)
            .marked(Mark.LYE)
            .words((p, n) -> Phrase.of("portion {} of {} in", p.portion(), p.of()))
            .typed((p, pen) -> "portion " + p.portion() + "/" + p.of())
            .phrase("portion\\s+(\\d{1,2})\\s*(?:/|of)\\s*(\\d{1,2})", (m, c) -> portion(m))
            .notOnStrip();

    private static final EntryKind<Entry.LyeClear> CLEAR = EntryKind.of(
                    Entry.LyeClear.class, "lye-clear", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.POTS)
            .marked(Mark.LYE)
            .words("lye clear, strained")
            .typed((e, pen) -> "clear")
            .phrase("clear|dissolved|strained", (m, c) -> new Entry.LyeClear())
            .notOnStrip();

    private static final EntryKind<Entry.HumidityRead> HUMIDITY = EntryKind.of(
                    Entry.HumidityRead.class,
                    "humidity",
                    Authority.INSTRUMENT,
                    (e, check) -> check.within("humidity", e.percent(), EntryCheck.HUMIDITY))
            .tells(Tells.TEMPERATURES)
            .marked(Mark.ROOM)
            .words((h, n) -> Phrase.of("humidity {} %", new Exactly(h.percent())))
            .typed((h, pen) -> "humidity " + pen.number(h.percent()))
            .phrase(
                    "humidity\\s+" + Patterns.NUMBER + "\\s*%?",
                    (m, c) -> new Entry.HumidityRead(Patterns.within("humidity", m.group(1), EntryCheck.HUMIDITY)))
            .notOnStrip();

    /** mg/l of calcium carbonate in one of each: German degrees, French degrees, grains a US gallon. */
    private static final Map<String, Double> HARDNESSES = Map.of(
            "mg/l",
            1.0,
            "ppm",
            1.0,
            "dh",
            17.85,
            "\u00b0dh",
            17.85,
            "fh",
            10.0,
            "\u00b0fh",
            10.0,
            "gpg",
            17.12,
            "mmol/l",
            100.09);

    private static final EntryKind<Entry.WaterRead> WATER = EntryKind.of(
                    Entry.WaterRead.class,
                    "water-hardness",
                    Authority.INSTRUMENT,
                    (e, check) -> check.within("mg/l of lime", e.milligramsPerLitre(), EntryCheck.HARDNESS))
            .tells(Tells.TESTS)
            .words((w, n) -> Phrase.of("water of {} mg/l of lime", new Exactly(w.milligramsPerLitre(), 0)))
            .typed((w, pen) -> "water hardness " + pen.number(w.milligramsPerLitre()) + " mg/l")
            .phrase(
                    "(?:water\\s+)?hardness\\s+" + Patterns.NUMBER + "\\s*(mg/l|ppm|\u00b0?dh|\u00b0?fh|gpg|mmol/l)",
                    (m, c) -> new Entry.WaterRead(Patterns.within(
                                    "The hardness",
                                    m.group(1),
                                    Interval.between(
                                            0,
                                            EntryCheck.HARDNESS.high()
                                                    / HARDNESSES.get(m.group(2).toLowerCase(Locale.ROOT))))
                            * HARDNESSES.get(m.group(2).toLowerCase(Locale.ROOT))))
            .notOnStrip();

    static final List<EntryKind<?>> ALL = List.of(TEMPERATURE, BATHED, LYE_IN, READY, PORTION, CLEAR, HUMIDITY, WATER);

    private PotKinds() {}

    static Mark mark(MeasurementPoint spot) {
        return switch (spot) {
            case LYE -> Mark.LYE;
            case FATS -> Mark.FATS;
            case BATTER -> Mark.BATTER;
            case CORE -> Mark.CORE;
            case ROOM -> Mark.ROOM;
        };
    }

    private static Entry.TemperatureRead temperature(Matcher m, QuickContext context) {
        MeasurementPoint spot = Patterns.meant(SPOTS, m.group(1));
        return new Entry.TemperatureRead(
                spot, TemperatureNotation.readAt(spot, Patterns.FIELD, m.group(2), context.units()));
    }

    private static Entry.PortionFed portion(Matcher m) {
        int portion = Integer.parseInt(m.group(1));
        int of = Integer.parseInt(m.group(2));
        if (portion < 1 || portion > of) {
            throw ProblemsException.of(Patterns.FIELD, ProblemKey.TOO_HIGH, "A portion", (double) portion, (double) of);
        }
        return new Entry.PortionFed(portion, of);
    }

    private static List<String> checks(@Nullable String said) {
        if (said == null) {
            return List.of();
        }
        List<String> checks = new ArrayList<>();
        Matcher quoted = QUOTED.matcher(said);
        while (quoted.find()) {
            checks.add(Quotes.taken(quoted.group()));
        }
        return checks.isEmpty() ? List.of(said.trim()) : checks;
    }

    private static void check(Entry.PortionFed e, EntryCheck check) {
        check.within("Portions", e.of(), Interval.between(1, EntryCheck.MOST_PORTIONS));
        check.within("A portion", e.portion(), Interval.between(1, Math.max(1, e.of())));
    }
}
