package io.causticon.core.notation;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.formula.AdditivePortion;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.Dose;
import io.causticon.core.formula.Portion;
import io.causticon.core.observation.Behaviour;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.GelExtent;
import io.causticon.core.observation.MixMethod;
import io.causticon.core.observation.Keeping;
import io.causticon.core.observation.PhMethod;
import io.causticon.core.observation.Presence;
import io.causticon.core.observation.Spot;
import io.causticon.core.observation.Stage;
import io.causticon.core.observation.Surroundings;
import io.causticon.core.observation.TouchFeel;
import io.causticon.core.observation.WashFeel;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.substance.Additive;
import io.causticon.core.substance.Catalogue;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.function.BiFunction;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** All phrases in the order in which they are tried. */
final class Phrases {

    private static final String FIELD = "quick";
    private static final String NUMBER = "([-+]?\\d+(?:[.,]\\d+)*)";
    private static final String DEGREES = "([-+]?\\d+(?:[.,]\\d+)?\\s*(?:\u00b0\\s*)?(?:[cf]\\b)?)";
    private static final int LONGEST_BURST = 900;
    private static final int MOST_BARS = 2000;
    private static final Mass HEAVIEST_BAR = Mass.grams(2000);
    private static final double HIGHEST_PH = 14;
    private static final double MOST_FREE_ALKALI = 20;

    private static final Map<String, Spot> SPOTS = Map.ofEntries(
            Map.entry("lye", Spot.LYE),
            Map.entry("fats", Spot.FATS),
            Map.entry("fat", Spot.FATS),
            Map.entry("oils", Spot.FATS),
            Map.entry("oil", Spot.FATS),
            Map.entry("batter", Spot.BATTER),
            Map.entry("core", Spot.CORE),
            Map.entry("loaf", Spot.CORE),
            Map.entry("room", Spot.ROOM));

    private static final Map<String, Stage> STAGES = Map.ofEntries(
            Map.entry("streaks", Stage.STREAKS),
            Map.entry("emulsion", Stage.EMULSION),
            Map.entry("thin", Stage.THIN),
            Map.entry("light", Stage.LIGHT),
            Map.entry("medium", Stage.MEDIUM),
            Map.entry("thick", Stage.THICK),
            Map.entry("mash", Stage.MASH),
            Map.entry("seized", Stage.MASH),
            Map.entry("rice", Stage.RICED),
            Map.entry("riced", Stage.RICED),
            Map.entry("curdle", Stage.CURDLED),
            Map.entry("curdled", Stage.CURDLED),
            Map.entry("separate", Stage.SEPARATED),
            Map.entry("separated", Stage.SEPARATED),
            Map.entry("false", Stage.FALSE_TRACE),
            Map.entry("froth", Stage.FROTHY));

    private static final Pattern PORTION = Pattern.compile(
            "^(take|took|layer|pour)\\s+(\\S.*?)(?:\\s+" + NUMBER + "\\s*(g|kg|oz|lb))?$", Pattern.CASE_INSENSITIVE);
    /** Keeps words as words, whatever they speak of. */
    static final String JUST_A_NOTE = "just a note:?";

    /** What may follow a finding without making another one of it: where, when, how much. */
    private static final Pattern CIRCUMSTANCE = Pattern.compile(
            "^(?:[,.:;(]|(?:on|at|in|under|along|near|after|before|today|again|everywhere|all|only|when|of|by|with|over|since|from|for|here|now|yet|still"
                    + "|a|one|two|three|some|most|every|mostly|slightly|as|but|and|this|where|than)\\b)",
            Pattern.CASE_INSENSITIVE);
    private static final int MOST_SUGGESTIONS = 3;

    private static final Pattern FINDING = Pattern.compile("^(see|seen|no)\\s+(.+)", Pattern.CASE_INSENSITIVE);
    private static final Pattern BEHAVIOUR = Pattern.compile(
            "^([\\p{L}][\\p{L}' -]*?)\\s+(browned|morphed|faded|riced|seized)(?:$|[\\s,.])", Pattern.CASE_INSENSITIVE);

    private static final Map<String, MixMethod> METHODS = Map.of(
            "stick", MixMethod.STICK,
            "stick blender", MixMethod.STICK,
            "stand mixer", MixMethod.STAND_MIXER,
            "whisk", MixMethod.WHISK,
            "by hand", MixMethod.HAND,
            "hand", MixMethod.HAND,
            "bottle", MixMethod.BOTTLE);

    private static final Map<String, Keeping> KEEPINGS = Map.ofEntries(
            Map.entry("cover", Keeping.COVERED),
            Map.entry("covered", Keeping.COVERED),
            Map.entry("film", Keeping.COVERED),
            Map.entry("insulate", Keeping.INSULATED),
            Map.entry("insulated", Keeping.INSULATED),
            Map.entry("towel", Keeping.INSULATED),
            Map.entry("uncover", Keeping.UNCOVERED),
            Map.entry("oven", Keeping.OVEN),
            Map.entry("fridge", Keeping.FRIDGE),
            Map.entry("freezer", Keeping.FREEZER),
            Map.entry("spray", Keeping.SPRAYED));

    /** Beyond that it is another batch. */
    private static final double MOST_SCALING = 2;

    static final List<Phrase> ALL = List.of(
            WeighPhrase::match,
            phrase("(" + words(SPOTS) + ")\\s+" + DEGREES, (m, c) -> temperature(m, c)),
            phrase(
                    "(lye|fats|oils?)\\s+(?:in(?:to)?\\s+)?(?:an?\\s+|the\\s+)?(ice|cold|warm|hot)\\s+(?:bath|water)",
                    (m, c) -> new Entry.Bathed(SPOTS.get(lower(m.group(1))), bath(m.group(2)))),
            phrase(
                    "(lye|fats|oils?)\\s+out(?:\\s+of\\s+(?:the\\s+)?(?:bath|water))?",
                    (m, c) -> new Entry.Bathed(SPOTS.get(lower(m.group(1))), Surroundings.ROOM)),
            phrase("(?:lye\\s+in(?:to\\s+(?:fats|oils?))?|in)", (m, c) -> new Entry.LyeIntoFats()),
            phrase("ready(?:\\s+for\\s+lye)?", (m, c) -> new Entry.ReadyForLye(List.of())),
            phrase(
                    "scaled?\\s+the\\s+rest\\s+(?:by|x)\\s+" + NUMBER,
                    (m, c) -> new Entry.RestScaled(within("The factor of the rest", m.group(1), 1, MOST_SCALING))),
            phrase("portion\\s+(\\d{1,2})\\s*(?:/|of)\\s*(\\d{1,2})", (m, c) -> portion(m)),
            phrase("clear|dissolved|strained", (m, c) -> new Entry.LyeClear()),
            phrase("blend(?:ed|er)?\\s+" + NUMBER + "\\s*(?:s|sec|seconds)?", (m, c) -> burst(m.group(1))),
            phrase(
                    "(" + words(STAGES) + ")(?:\\s+trace)?(?:\\s+after\\s+([\\p{L} -]+))?",
                    (m, c) -> new Entry.StageReached(STAGES.get(lower(m.group(1))), trimmed(m.group(2)))),
            phrase(
                    "add(?:ed)?\\s+([\\p{L}' -]+?)(?:\\s+" + NUMBER + "\\s*(g|kg|oz|lb)?)?"
                            + "(?:\\s+to\\s+(?:the\\s+)?([\\p{L}\\p{N}' -]+?))?(?:\\s+lot\\s+([\\p{L}\\p{N}./-]+))?(?:$|\\s+at\\b)",
                    (m, c) -> added(m, c)),
            phrase(
                    "add(?:ed)?\\s+([\\p{L}' -]+?)\\s+(" + NUMBER + "\\s*(?:%|(?:tsp|tbsp|teaspoons?|tablespoons?|spoons?|drops?)\\b))"
                            + "(?:\\s+to\\s+(?:the\\s+)?([\\p{L}\\p{N}' -]+?))?$",
                    (m, c) -> new Entry.Added(m.group(1).trim(), dosed(m.group(1).trim(), m.group(2), c), trimmed(m.group(4)), null)),
            phrase("(?:mixed\\s+)?(?:with\\s+(?:a\\s+)?|by\\s+)?(" + words(METHODS) + ")$", (m, c) -> new Entry.MixedWith(METHODS.get(lower(m.group(1))))),
            Phrases::portionOfThePlan,
            phrase("tap(?:ped)?(?:\\s+out)?$", (m, c) -> new Entry.AirTapped()),
            phrase("humidity\\s+" + NUMBER + "\\s*%?", (m, c) -> new Entry.HumidityRead(within("humidity", m.group(1), 0, 100))),
            Phrases::behaviourOfAnAdditive,
            phrase("pour(?:ed)?(?:\\s+(?:at\\s+)?" + DEGREES + ")?", (m, c) -> poured(m, c)),
            phrase("(" + words(KEEPINGS) + ")(?:\\s+" + DEGREES + ")?", (m, c) -> kept(m, c)),
            phrase("gel\\s+(none|no|partial|full|seen)", (m, c) -> new Entry.GelSeen(extent(m.group(1)))),
            phrase("unmould(?:ed)?|unmold(?:ed)?", (m, c) -> new Entry.Unmoulded()),
            phrase("cut(?:\\s+(?:in(?:to)?\\s+)?" + NUMBER + "(?:\\s*bars?)?)?", (m, c) -> cut(m.group(1))),
            phrase("ph\\s+" + NUMBER + "(?:\\s+(strip|meter|pen))?", (m, c) -> ph(m.group(1), m.group(2))),
            phrase("(strip|pen|meter)\\s+" + NUMBER, (m, c) -> ph(m.group(2), m.group(1))),
            phrase("wash\\s+(calm|fine|tight|dry|burn(?:s|ing)?)", (m, c) -> new Entry.WashTested(wash(m.group(1)))),
            phrase("touch\\s+(firm|soft|sticky)", (m, c) -> new Entry.TouchTested(touch(m.group(1)))),
            phrase("bar\\s+([\\d.,]+\\s*(?:kg|g|oz|lbs?)?)", (m, c) -> bar(m.group(1), c)),
            phrase("titrat(?:ed|ion|e)\\s+" + NUMBER + "\\s*(%|ml|g|mg|drops?|mol|n)?", (m, c) -> titrated(m.group(1), m.group(2))),
            Phrases::finding,
            phrase(JUST_A_NOTE + "\\s+(.+)", (m, c) -> new Entry.Noted(m.group(1))),
            phrase("note\\s+(.+)", (m, c) -> new Entry.Noted(m.group(1))));

    private Phrases() {}

    private static Phrase phrase(String pattern, BiFunction<Matcher, QuickContext, Entry> entry) {
        Pattern compiled = Pattern.compile("^(?:" + pattern + ")(?:$|[\\s,.])", Pattern.CASE_INSENSITIVE);
        return (text, context) -> {
            Matcher matcher = compiled.matcher(text);
            return matcher.find()
                    ? Optional.of(new Phrase.Match(entry.apply(matcher, context), text.substring(matcher.end())))
                    : Optional.empty();
        };
    }

    private static Entry portion(Matcher m) {
        int portion = Integer.parseInt(m.group(1));
        int of = Integer.parseInt(m.group(2));
        if (portion < 1 || portion > of) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_HIGH, "A portion", (double) portion, (double) of);
        }
        return new Entry.PortionFed(portion, of);
    }

    private static Entry temperature(Matcher m, QuickContext context) {
        Spot spot = SPOTS.get(lower(m.group(1)));
        return new Entry.TemperatureRead(spot, TemperatureNotation.readAt(spot, FIELD, m.group(2), context.units()));
    }

    private static Surroundings bath(String word) {
        return switch (lower(word)) {
            case "ice" -> Surroundings.ICE_BATH;
            case "cold" -> Surroundings.COLD_BATH;
            default -> Surroundings.WARM_BATH;
        };
    }

    private static Entry burst(String seconds) {
        return new Entry.BlenderBurst((int) Math.round(within("blender", seconds, 1, LONGEST_BURST)));
    }

    private static Entry added(Matcher m, QuickContext context) {
        return new Entry.Added(m.group(1).trim(), mass(m.group(2), m.group(3), context), trimmed(m.group(4)), trimmed(m.group(5)));
    }

    private static @Nullable Mass mass(@Nullable String number, @Nullable String unit, QuickContext context) {
        return number == null ? null : MassNotation.read(FIELD, number + (unit == null ? "" : unit), context.units());
    }

    /** By the spoon, the drop or the share of the fats, as recipes are dosed. */
    private static Mass dosed(String called, String typed, QuickContext context) {
        Additive additive = Stream.concat(additives(context.plan()), Catalogue.standard().additives().stream())
                .filter(a -> Catalogue.answersTo(a.id(), a.name(), called))
                .findFirst()
                .orElseThrow(() -> ProblemsException.of(FIELD, ProblemKey.UNKNOWN_SUBSTANCE, called));
        Dose dose = DoseNotation.read(FIELD, typed, context.units());
        if (dose.isSpooned() && additive.gramsPerTeaspoon() == null) {
            throw ProblemsException.of(FIELD, ProblemKey.NOT_SPOONED, additive.name());
        }
        return dose.of(additive.gramsPerTeaspoon(), context.plan().formula().fatMass());
    }

    /** A portion is only what the plan divides its batter into; anything else that is taken or poured is other words. */
    private static Optional<Phrase.Match> portionOfThePlan(String text, QuickContext context) {
        Matcher m = PORTION.matcher(text);
        if (!m.find()) {
            return Optional.empty();
        }
        String name = m.group(2).trim();
        boolean known = context.plan().pouring().portioning().portions().stream().anyMatch(p -> p.name().trim().equalsIgnoreCase(name));
        if (!known) {
            return Optional.empty();
        }
        Mass mass = mass(m.group(3), m.group(4), context);
        return Optional.of(new Phrase.Match(
                lower(m.group(1)).startsWith("t") ? new Entry.PortionTaken(name, mass) : new Entry.LayerPoured(name, mass), ""));
    }

    /** Who browned or faded must be something that the plan knows; anything else is a note. */
    private static Optional<Phrase.Match> behaviourOfAnAdditive(String text, QuickContext context) {
        Matcher m = BEHAVIOUR.matcher(text);
        if (!m.find()) {
            return Optional.empty();
        }
        String what = m.group(1).trim();
        return additives(context.plan())
                .filter(a -> Catalogue.answersTo(a.id(), a.name(), what))
                .findFirst()
                .map(a -> new Phrase.Match(
                        new Entry.Behaved(what, Behaviour.valueOf(m.group(2).toUpperCase(Locale.ROOT))), text.substring(m.end())));
    }

    /** Whether the plan holds an additive of this name. */
    static boolean isPlanned(String called, QuickContext context) {
        return additives(context.plan()).anyMatch(a -> Catalogue.answersTo(a.id(), a.name(), called));
    }

    private static Stream<Additive> additives(BatchPlan plan) {
        return Stream.concat(
                plan.formula().additives().stream().map(AdditivePortion::additive),
                plan.pouring().portioning().portions().stream().flatMap(p -> p.additives().stream()).map(Portion.OwnAdditive::additive));
    }

    private static Entry poured(Matcher m, QuickContext context) {
        return new Entry.Poured(
                m.group(1) == null
                        ? null
                        : TemperatureNotation.readAt(Spot.BATTER, FIELD, m.group(1), context.units()));
    }

    private static Entry kept(Matcher m, QuickContext context) {
        Temperature at = m.group(2) == null ? null : TemperatureNotation.read(FIELD, m.group(2), context.units());
        return new Entry.Kept(KEEPINGS.get(lower(m.group(1))), at);
    }

    private static GelExtent extent(String word) {
        return switch (lower(word)) {
            case "none", "no" -> GelExtent.NONE;
            case "partial" -> GelExtent.PARTIAL;
            default -> GelExtent.FULL;
        };
    }

    private static Entry cut(@Nullable String bars) {
        return new Entry.Cut(bars == null ? 1 : (int) Math.round(within("bars", bars, 1, MOST_BARS)));
    }

    private static Entry ph(String number, @Nullable String method) {
        double ph = within("pH", number, 0, HIGHEST_PH);
        boolean meter = method != null && !"strip".equals(lower(method));
        return new Entry.PhRead(ph, meter ? PhMethod.METER : PhMethod.STRIP);
    }

    private static WashFeel wash(String word) {
        return switch (lower(word)) {
            case "calm", "fine" -> WashFeel.CALM;
            case "tight", "dry" -> WashFeel.TIGHT;
            default -> WashFeel.BURNING;
        };
    }

    private static TouchFeel touch(String word) {
        return TouchFeel.valueOf(word.toUpperCase(Locale.ROOT));
    }

    private static Entry bar(String text, QuickContext context) {
        Mass mass = MassNotation.read(FIELD, text, context.units());
        if (!mass.isPositive()) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_LOW, "bar", mass, Mass.ZERO);
        }
        if (mass.isMoreThan(HEAVIEST_BAR)) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_HIGH, "bar", mass, HEAVIEST_BAR);
        }
        return new Entry.BarWeighed(mass);
    }

    private static Entry titrated(String percent, @Nullable String unit) {
        if (unit != null && !unit.equals("%")) {
            throw ProblemsException.of(FIELD, ProblemKey.NOT_PER_CENT, percent + " " + unit);
        }
        return new Entry.Titrated(within("free alkali", percent, 0, MOST_FREE_ALKALI));
    }

    private static Optional<Phrase.Match> finding(String text, QuickContext context) {
        Matcher said = FINDING.matcher(text);
        if (!said.find()) {
            return Optional.empty();
        }
        String words = lower(said.group(2)).trim();
        boolean absent = "no".equals(lower(said.group(1)));
        Optional<Map.Entry<String, String>> known = context.findings().entrySet().stream()
                .filter(f -> words.equals(f.getKey()) || words.startsWith(f.getKey()) && isCircumstance(words.substring(f.getKey().length())))
                .max(Comparator.comparingInt(f -> f.getKey().length()));
        if (known.isEmpty()) {
            // What was seen and is not known is asked about; what is not there may be anything.
            if (absent) {
                return Optional.empty();
            }
            throw ProblemsException.of(FIELD, ProblemKey.UNKNOWN_FINDING, said.group(2).trim(), suggestions(words, context));
        }
        return known.map(f -> new Phrase.Match(
                new Entry.Observed(f.getValue(), absent ? Presence.LOOKED_AND_ABSENT : Presence.SEEN), words.substring(f.getKey().length())));
    }

    private static boolean isCircumstance(String rest) {
        return rest.isBlank() || CIRCUMSTANCE.matcher(rest.strip()).find() && (rest.startsWith(" ") || !Character.isLetterOrDigit(rest.charAt(0)));
    }

    /** Findings that share a word with what was typed; the commonest where none does. */
    private static String suggestions(String words, QuickContext context) {
        List<String> typed = List.of(words.split(" "));
        List<String> alike = context.findings().keySet().stream()
                .filter(k -> typed.stream().anyMatch(w -> w.length() > 3 && k.contains(w.substring(0, w.length() - 1))))
                .limit(MOST_SUGGESTIONS)
                .toList();
        return String.join(", ", alike.isEmpty() ? List.of("bloom", "thick crust", "white spots") : alike);
    }

    private static double within(String what, String number, double least, double most) {
        double value = NumberNotation.read(FIELD, number);
        if (value < least) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_LOW, what, value, least);
        }
        if (value > most) {
            throw ProblemsException.of(FIELD, ProblemKey.TOO_HIGH, what, value, most);
        }
        return value;
    }

    private static String words(Map<String, ?> vocabulary) {
        return String.join("|", vocabulary.keySet().stream()
                .sorted(Comparator.comparingInt(String::length).reversed())
                .toList());
    }

    private static String lower(String text) {
        return text.toLowerCase(Locale.ROOT);
    }

    private static @Nullable String trimmed(@Nullable String text) {
        return text == null ? null : text.trim();
    }
}
