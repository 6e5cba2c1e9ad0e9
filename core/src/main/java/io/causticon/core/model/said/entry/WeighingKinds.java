package io.causticon.core.model.said.entry;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What stands on the scale: {@code olive 504}, {@code weigh lye 168.3 g}, {@code lard 1 lb 2 oz in second jug no tare}.
 */
final class WeighingKinds {

    private static final Pattern FORM = Pattern.compile(
            "^(?P<again>again\\s+)?(?P<weigh>weigh(?:ed)?\\s+)?(?P<what>" + Quotes.QUOTED
                    + "|[\\p{L}][\\p{L}' ():-]*?)\\s+(?P<amount>" + Patterns.AMOUNT + ")"
                    + "(?:\\s+(?:in|from)\\s+(?P<vessel>" + Quotes.QUOTED + "|[\\p{L}' -]+?))?"
                    + "(?:\\s*,?\\s*(?P<tare>no tare|not tared|untared|tared))?$",
            Pattern.CASE_INSENSITIVE);

    private static final String AGAIN = "again";

    private static final Pattern NUMBERED_BAR = Pattern.compile(
            "^bar\\s+(?:no\\.?\\s*|#\\s*)?(\\d{1,4})\\s+(" + Patterns.WHOLE_AND_MORE + "\\s*" + Patterns.ANY_MASS_UNIT
                    + "?)(\\s+of\\s+.*)?$",
            Pattern.CASE_INSENSITIVE);

    /**
     * The amount ends where a word does: "bar 9o g" is a slip of the thumb, and no bar of nine grams. A broken number
     * says what it is of.
     */
    private static final Pattern BAR = Pattern.compile(
            "^bar\\s+(\\d[\\d.,]*\\s*" + Patterns.POUNDS + "\\s+" + Patterns.WHOLE_AND_MORE + "\\s*" + Patterns.OUNCES
                    + "\\b"
                    + "|(?:\\d+(?:\\s+|-))?" + Patterns.FRACTION + "\\s*(?:" + Patterns.OUNCES + "|" + Patterns.POUNDS
                    + ")\\b"
                    + "|[\\d.,]+\\s*(?:" + Patterns.ANY_MASS_UNIT + "\\b)?)((?:[^\\p{L}/].*)?)$",
            Pattern.CASE_INSENSITIVE);

    /** A number that may be the bar's, or what it weighs. */
    private static final Pattern BARE_BAR = Pattern.compile("^bar\\s+(\\d{1,4})$", Pattern.CASE_INSENSITIVE);

    /** A chip that somebody broke off; less is a slip of the thumb. */
    private static final Mass LIGHTEST_BAR = Mass.grams(1);

    /** g: nobody cuts bars that weigh less. */
    private static final int LIGHTEST_SAID = 25;

    private static final Pattern ANOTHER_NUMBER = Pattern.compile("^\\s*[-+]?\\d");

    private static final EntryKind<Entry.Weighed> WEIGHED = EntryKind.of(
                    Entry.Weighed.class,
                    "weighed",
                    Authority.PROGRAM,
                    (e, check) -> check.mass(e.what().id(), e.mass(), EntryCheck.HEAVIEST))
            .version(2)
            .tells(Tells.WEIGHTS)
            .marked(w -> mark(w.what()))
            .words((w, n) -> Phrase.of(
                    "{} {}{}{}",
                    n.of(w.what()),
                    w.mass(),
                    w.vessel() == null ? "" : " from the " + w.vessel().name(),
                    tare(w)))
            .typed((w, pen) ->
                    "weigh " + pen.weighable(w.what()) + " " + pen.mass(w.mass()) + pen.name(" from ", w.vessel())
                            + switch (w.tare()) {
                                case TAKEN -> " tared";
                                case NOT_TAKEN -> " no tare";
                                case NOT_SAID -> "";
                            })
            .way((text, context) -> weighing(text, context, false))
            .notOnStrip();

    private static final EntryKind<Entry.WeighedAgain> WEIGHED_AGAIN = EntryKind.of(
                    Entry.WeighedAgain.class,
                    "weighed-again",
                    Authority.PROGRAM,
                    (e, check) -> check.mass(e.what().id(), e.mass(), EntryCheck.HEAVIEST))
            .tells(Tells.WEIGHTS)
            .marked(w -> mark(w.what()))
            .words((w, n) -> Phrase.of("{} weighed again: {}", n.of(w.what()), w.mass()))
            .typed((w, pen) -> "again " + pen.weighable(w.what()) + " " + pen.mass(w.mass()))
            .way((text, context) -> weighing(text, context, true))
            .notOnStrip();

    private static final EntryKind<Entry.PotWeighed> POT_WEIGHED = EntryKind.of(
                    Entry.PotWeighed.class,
                    "pot-weighed",
                    Authority.INSTRUMENT,
                    (e, check) -> check.mass("pot", e.mass(), EntryCheck.HEAVIEST_POT))
            .tells(Tells.WEIGHTS)
            .words((p, n) -> Phrase.of("all in the pot: {}", p.mass()))
            .typed((p, pen) -> "pot " + pen.mass(p.mass()))
            .phrase(
                    "(?:full\\s+)?pot\\s+(" + Patterns.AMOUNT + ")",
                    (m, c) -> new Entry.PotWeighed(Patterns.mass("pot", m.group(1), EntryCheck.HEAVIEST_POT, c)))
            .notOnStrip();

    private static final EntryKind<Entry.RestScaled> REST_SCALED = EntryKind.of(
                    Entry.RestScaled.class,
                    "rest-scaled",
                    Authority.PERSON,
                    (e, check) -> check.within("The factor of the rest", e.factor(), EntryCheck.SCALING))
            .tells(Tells.WEIGHTS)
            .words((s, n) -> Phrase.of("the rest scaled by {}", new Exactly(s.factor(), 3)))
            .typed((s, pen) -> "scale the rest by " + pen.number(s.factor()))
            .phrase(
                    "scaled?\\s+the\\s+rest\\s+(?:by|x)\\s+" + Patterns.NUMBER,
                    (m, c) -> new Entry.RestScaled(
                            Patterns.within("The factor of the rest", m.group(1), EntryCheck.SCALING)))
            .notOnStrip();

    private static final EntryKind<Entry.BarWeighed> BAR_WEIGHED = EntryKind.of(
                    Entry.BarWeighed.class,
                    "bar",
                    Authority.INSTRUMENT,
                    (e, check) -> check.mass("bar", e.mass(), EntryCheck.HEAVIEST_BAR))
            .version(2)
            .tells(Tells.TESTS)
            .words((b, n) -> BarsSaid.after(Phrase.of("bar {}", b.mass()), b.on()))
            .typed((b, pen) -> "bar " + pen.mass(b.mass()) + BarsSaid.typed(b.on(), pen))
            .way(WeighingKinds::barWeighed)
            .on(OnStrip.CURVE);

    static final List<EntryKind<?>> ALL = List.of(POT_WEIGHED, WEIGHED, WEIGHED_AGAIN, REST_SCALED, BAR_WEIGHED);

    private WeighingKinds() {}

    static Mark mark(Weighable what) {
        return switch (what.kind()) {
            case FAT -> Mark.FATS;
            case LIQUID -> Mark.LIQUID;
            case ALKALI -> Mark.LYE;
            case SCRAP -> Mark.BATTER;
            case ADDITIVE -> Mark.PLAIN;
        };
    }

    private static String tare(Entry.Weighed w) {
        return switch (w.tare()) {
            case TAKEN -> "";
            case NOT_TAKEN -> ", tare not taken";
            case NOT_SAID -> w.vessel() == null ? "" : ", no tare logged";
        };
    }

    /** {@code bar 104 g}, {@code bar 3 83.2 g}, {@code bar 83.2 g on bar 3}. */
    private static Optional<Way.Match> barWeighed(String text, QuickContext context) {
        Matcher numbered = NUMBERED_BAR.matcher(text);
        if (numbered.matches()) {
            BarsSaid.Said of = BarsSaid.read(numbered.group(3) == null ? "" : numbered.group(3), context);
            Bars bar = Bars.numbered(Integer.parseInt(numbered.group(1)))
                    .of(of.bars() == null ? null : of.bars().portion());
            return Optional.of(new Way.Match(
                    new Entry.BarWeighed(
                            Patterns.mass("bar", numbered.group(2), LIGHTEST_BAR, EntryCheck.HEAVIEST_BAR, context),
                            bar),
                    of.rest()));
        }
        Matcher bare = BARE_BAR.matcher(text);
        if (bare.matches()
                && (context.units().mass() != Units.MassUnit.GRAM || Integer.parseInt(bare.group(1)) < LIGHTEST_SAID)) {
            throw ProblemsException.of(Patterns.FIELD, ProblemKey.BAR_OR_MASS, bare.group(1));
        }
        Matcher plain = BAR.matcher(text);
        BarsSaid.Said said = plain.matches() ? BarsSaid.read(plain.group(2), context) : null;
        // "bar 3 -5" and "bar 1 1e9 kg" are no bars of three grams and of one.
        if (said == null || ANOTHER_NUMBER.matcher(said.rest()).find()) {
            return Optional.empty();
        }
        return Optional.of(new Way.Match(
                new Entry.BarWeighed(
                        Patterns.mass("bar", plain.group(1), LIGHTEST_BAR, EntryCheck.HEAVIEST_BAR, context),
                        said.bars()),
                said.rest()));
    }

    /** @param again whether a second weighing is looked for, or a first one: nothing is looked up for the other */
    private static Optional<Way.Match> weighing(String text, QuickContext context, boolean again) {
        if (again && !text.regionMatches(true, 0, AGAIN, 0, AGAIN.length())) {
            return Optional.empty();
        }
        Matcher form = FORM.matcher(text);
        if (!form.matches() || again != (form.group("again") != null)) {
            return Optional.empty();
        }
        String called = Quotes.taken(form.group("what"));
        boolean said = form.group("weigh") != null || again;
        boolean hasUnit = form.group("amount").matches(".*[a-zA-Z].*");
        Optional<Weighable> what = what(called, context, said || hasUnit);
        if (what.isEmpty()) {
            if (said) {
                throw ProblemsException.of(Patterns.FIELD, ProblemKey.UNKNOWN_SUBSTANCE, called);
            }
            return Optional.empty();
        }
        Mass mass = Patterns.mass(called, form.group("amount"), EntryCheck.HEAVIEST, context);
        return Optional.of(new Way.Match(
                again
                        ? new Entry.WeighedAgain(what.get(), mass)
                        : weighed(what.get(), mass, form.group("tare"), form.group("vessel"), context.vessels()),
                ""));
    }

    private static Entry weighed(
            Weighable what, Mass mass, @Nullable String tare, @Nullable String vessel, KnownVessels vessels) {
        return new Entry.Weighed(what, mass, tare(tare), vessel == null ? null : vessels.called(Quotes.taken(vessel)));
    }

    private static Tare tare(@Nullable String words) {
        if (words == null) {
            return Tare.NOT_SAID;
        }
        return "tared".equals(Patterns.lower(words)) ? Tare.TAKEN : Tare.NOT_TAKEN;
    }

    /** Lye is a temperature unless a mass is plainly meant. */
    private static Optional<Weighable> what(String called, QuickContext context, boolean plainlyMass) {
        String lower = Patterns.lower(called);
        if (lower.equals("naoh") || lower.equals("lye") && plainlyMass) {
            return Optional.of(Weighable.NAOH);
        }
        return lower.equals("koh")
                ? Optional.of(Weighable.KOH)
                : context.names().weighable(called);
    }
}
