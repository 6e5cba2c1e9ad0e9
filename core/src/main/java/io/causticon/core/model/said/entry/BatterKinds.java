package io.causticon.core.model.said.entry;

import static io.causticon.core.model.said.entry.Patterns.NAME;
import static io.causticon.core.model.said.entry.Patterns.NUMBER;
import static java.util.Map.entry;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.log.Behaviour;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MixMethod;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.Dose;
import io.causticon.core.model.said.notation.DoseNotation;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** From lye in the fats to the pour. */
final class BatterKinds {

    private static final Map<String, Stage> STAGES = Map.ofEntries(
            entry("streaks", Stage.STREAKS),
            entry("emulsion", Stage.EMULSION),
            entry("thin", Stage.THIN),
            entry("light", Stage.LIGHT),
            entry("medium", Stage.MEDIUM),
            entry("thick", Stage.THICK),
            entry("mash", Stage.MASH),
            entry("seized", Stage.MASH),
            entry("rice", Stage.RICED),
            entry("riced", Stage.RICED),
            entry("curdle", Stage.CURDLED),
            entry("curdled", Stage.CURDLED),
            entry("separate", Stage.SEPARATED),
            entry("separated", Stage.SEPARATED),
            entry("false", Stage.FALSE_TRACE),
            entry("froth", Stage.FROTHY));

    private static final Map<String, MixMethod> METHODS = Map.of(
            "stick", MixMethod.STICK,
            "stick blender", MixMethod.STICK,
            "stand mixer", MixMethod.STAND_MIXER,
            "whisk", MixMethod.WHISK,
            "by hand", MixMethod.HAND,
            "hand", MixMethod.HAND,
            "bottle", MixMethod.BOTTLE);

    private static final String LOT = "(" + Quotes.QUOTED + "|[\\p{L}\\p{N}./-]+)";
    private static final String TO_PORTION = "(?:\\s+to\\s+(?:the\\s+)?" + Patterns.NAME_WITH_FIGURES + ")?";
    private static final String DOSE =
            "(" + NUMBER + "\\s*(?:%|(?:tsp|tbsp|teaspoons?|tablespoons?|spoons?|drops?)\\b))";
    private static final Pattern PORTION = Pattern.compile(
            "^(take|took|layer|pour)\\s+(" + Quotes.QUOTED + "|\\S.*?)(?:\\s+(" + Patterns.AMOUNT_WITH_UNIT + "))?$",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern BEHAVIOUR = Pattern.compile(
            "^(" + Quotes.QUOTED
                    + "|[\\p{L}][\\p{L}'"
                    + " -]*?)\\s+(moved|slowed|riced|seized|curdled|browned|morphed|faded)(?:$|[\\s,.])",
            Pattern.CASE_INSENSITIVE);

    private static final EntryKind<Entry.BlenderBurst> BURST = EntryKind.of(
                    Entry.BlenderBurst.class,
                    "burst",
                    Authority.INSTRUMENT,
                    (e, check) -> check.within("blender", e.seconds(), EntryCheck.BURST))
            .tells(Tells.POTS)
            .marked(Mark.BATTER)
            .words((b, n) -> Phrase.of("blender {} s", b.seconds()))
            .typed((b, pen) -> "blend " + b.seconds())
            .phrase(
                    "blend(?:ed|er)?\\s+" + NUMBER + "\\s*(?:s|sec|seconds)?",
                    (m, c) -> new Entry.BlenderBurst(
                            (int) Math.round(Patterns.within("blender", m.group(1), EntryCheck.BURST))))
            .on(OnStrip.TICK);

    private static final EntryKind<Entry.StageReached> STAGE = EntryKind.of(
                    Entry.StageReached.class, "stage", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .version(2)
            .tells(Tells.POTS)
            .marked(Mark.BATTER)
            .words((s, n) -> s.after() == null
                    ? Phrase.of(said(s.stage()))
                    : Phrase.of("{} after {}", said(s.stage()), s.after().name()))
            .typed((s, pen) -> written(s.stage()) + pen.name(" after ", s.after()))
            .phrase(
                    Patterns.oneOf(STAGES) + "(?:\\s+trace)?(?:\\s+after\\s+(" + Quotes.QUOTED + "|[\\p{L} -]+))?",
                    (m, c) -> new Entry.StageReached(Patterns.meant(STAGES, m.group(1)), substance(m.group(2), c)))
            .on(OnStrip.CURVE);

    private static final EntryKind<Entry.Added> ADDED = EntryKind.of(
                    Entry.Added.class,
                    "added",
                    Authority.PROGRAM,
                    (e, check) -> check.mass(e.what().name(), e.mass(), EntryCheck.HEAVIEST))
            .version(2)
            .tells(Tells.WEIGHTS)
            .words((a, n) -> Phrase.of("{}", a.what().name())
                    .then("", mass(a.mass()))
                    .then(
                            "",
                            Phrase.of(
                                    " added{}{}",
                                    a.portion() == null
                                            ? ""
                                            : " to " + a.portion().name(),
                                    a.lot() == null ? "" : ", lot " + a.lot())))
            .typed((a, pen) -> "add " + pen.name(a.what()) + pen.mass(" ", a.mass()) + pen.name(" to ", a.portion())
                    + (a.lot() == null ? "" : " lot " + pen.words(a.lot())))
            .phrase(
                    "add(?:ed)?\\s+" + NAME + "(?:\\s+([-+]?" + Patterns.AMOUNT + "))?" + TO_PORTION + "(?:\\s+lot\\s+"
                            + LOT + ")?(?:$|\\s+at\\b)",
                    (m, c) -> new Entry.Added(
                            named(m.group(1), c),
                            Patterns.mass(m.group(2), c),
                            portion(m.group(3), c),
                            Quotes.takenOrNull(m.group(4))))
            .phrase(
                    "add(?:ed)?\\s+" + NAME + "\\s+" + DOSE + TO_PORTION + "$",
                    (m, c) -> new Entry.Added(
                            named(m.group(1), c),
                            dosed(Quotes.taken(m.group(1)), m.group(2), c),
                            portion(m.group(4), c),
                            null))
            .event((a, n) -> Phrase.of("{} in", a.what().name()));

    private static final EntryKind<Entry.MixedWith> METHOD = EntryKind.of(
                    Entry.MixedWith.class, "method", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.POTS)
            .words((m, n) -> Phrase.of("mixed with: {}", Pen.spoken(m.method())))
            .typed((m, pen) -> Pen.spoken(m.method()))
            .phrase(
                    "(?:mixed\\s+)?(?:with\\s+(?:a\\s+)?|by\\s+)?" + Patterns.oneOf(METHODS) + "$",
                    (m, c) -> new Entry.MixedWith(Patterns.meant(METHODS, m.group(1))))
            .on(OnStrip.EVENT);

    private static final EntryKind<Entry.PortionTaken> PORTION_TAKEN = EntryKind.of(
                    Entry.PortionTaken.class,
                    "portion-taken",
                    Authority.PROGRAM,
                    (e, check) -> check.mass(e.portion().name(), e.mass(), EntryCheck.HEAVIEST))
            .version(2)
            .tells(Tells.POTS)
            .marked(Mark.BATTER)
            .words((t, n) -> Phrase.of("portion {}", t.portion().name())
                    .then("", mass(t.mass()))
                    .then("", Phrase.of(" taken")))
            .typed((t, pen) -> "take " + pen.name(t.portion()) + pen.mass(" ", t.mass()))
            .way((text, context) ->
                    portionOfThePlan(text, context).filter(m -> m.entry() instanceof Entry.PortionTaken))
            .event((t, n) -> Phrase.of("{} taken", t.portion().name()));

    private static final EntryKind<Entry.LayerPoured> LAYER = EntryKind.of(
                    Entry.LayerPoured.class,
                    "layer",
                    Authority.PROGRAM,
                    (e, check) -> check.mass(e.portion().name(), e.mass(), EntryCheck.HEAVIEST))
            .version(2)
            .tells(Tells.MOULD)
            .marked(Mark.BATTER)
            .words((l, n) ->
                    Phrase.of("{}", l.portion().name()).then("", mass(l.mass())).then("", Phrase.of(" into the mould")))
            .typed((l, pen) -> "layer " + pen.name(l.portion()) + pen.mass(" ", l.mass()))
            .way((text, context) -> portionOfThePlan(text, context).filter(m -> m.entry() instanceof Entry.LayerPoured))
            .event((l, n) -> Phrase.of("{} poured", l.portion().name()));

    private static final EntryKind<Entry.Behaved> BEHAVED = EntryKind.of(
                    Entry.Behaved.class, "behaved", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .version(2)
            .tells(Tells.TESTS)
            .words((b, n) -> Phrase.of("{} {}", b.what().name(), Pen.lower(b.how())))
            .typed((b, pen) -> pen.name(b.what()) + " " + Pen.lower(b.how()))
            .way(BatterKinds::behaviourOfAnAdditive)
            .notOnStrip();

    static final List<EntryKind<?>> ALL = List.of(BURST, STAGE, ADDED, METHOD, PORTION_TAKEN, LAYER, BEHAVED);

    private BatterKinds() {}

    /** What makers call a stage. */
    static String said(Stage stage) {
        return switch (stage) {
            case THIN, LIGHT, MEDIUM, THICK -> Pen.lower(stage) + " trace";
            case FALSE_TRACE -> "false trace";
            default -> Pen.lower(stage);
        };
    }

    private static String written(Stage stage) {
        return switch (stage) {
            case RICED -> "rice";
            case CURDLED -> "curdle";
            case SEPARATED -> "separate";
            case FALSE_TRACE -> "false";
            case FROTHY -> "froth";
            default -> Pen.lower(stage);
        };
    }

    private static Phrase mass(@Nullable Mass mass) {
        return mass == null ? Phrase.of("") : Phrase.of(" {}", mass);
    }

    private static Named named(String said, QuickContext context) {
        return context.names().substance(Quotes.taken(said));
    }

    private static @Nullable Named substance(@Nullable String said, QuickContext context) {
        return said == null ? null : named(said, context);
    }

    private static @Nullable Named portion(@Nullable String said, QuickContext context) {
        if (said == null) {
            return null;
        }
        return context.names().portion(Quotes.taken(said));
    }

    /** By the spoon, the drop or the share of the fats, as recipes are dosed. */
    private static Mass dosed(String called, String typed, QuickContext context) {
        Additive additive = context.names()
                .additive(called)
                .orElseThrow(() -> ProblemsException.of(Patterns.FIELD, ProblemKey.UNKNOWN_SUBSTANCE, called));
        Dose dose = DoseNotation.read(Patterns.FIELD, typed, context.units());
        if (dose.isSpooned() && additive.gramsPerTeaspoon() == null) {
            throw ProblemsException.of(Patterns.FIELD, ProblemKey.NOT_SPOONED, additive.name());
        }
        return dose.of(additive.gramsPerTeaspoon(), context.plan().formula().fatMass());
    }

    /**
     * A portion is only what the plan divides its batter into; anything else that is taken or poured is other words.
     */
    private static Optional<Way.Match> portionOfThePlan(String text, QuickContext context) {
        Matcher m = PORTION.matcher(text);
        if (!m.find()) {
            return Optional.empty();
        }
        String name = Quotes.taken(m.group(2));
        Optional<Named> portion = context.names().plannedPortion(name);
        Mass mass = portion.isEmpty() ? null : Patterns.mass(m.group(3), context);
        return portion.map(p -> new Way.Match(
                Patterns.lower(m.group(1)).startsWith("t")
                        ? new Entry.PortionTaken(p, mass)
                        : new Entry.LayerPoured(p, mass),
                ""));
    }

    /**
     * Who browned or faded must be something that the plan knows, or stand between quotation marks; anything else is a
     * note.
     */
    private static Optional<Way.Match> behaviourOfAnAdditive(String text, QuickContext context) {
        Matcher m = BEHAVIOUR.matcher(text);
        if (!m.find()) {
            return Optional.empty();
        }
        String what = Quotes.taken(m.group(1));
        boolean quoted = !what.equals(m.group(1).trim());
        Optional<Named> named = context.names()
                .plannedAdditive(what)
                .map(a -> new Named(a.id(), what))
                .or(() -> quoted ? Optional.of(context.names().substance(what)) : Optional.empty());
        return named.map(n -> new Way.Match(
                new Entry.Behaved(n, Behaviour.valueOf(m.group(2).toUpperCase(Locale.ROOT))), text.substring(m.end())));
    }
}
