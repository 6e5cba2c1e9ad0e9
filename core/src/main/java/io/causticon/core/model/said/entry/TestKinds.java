package io.causticon.core.model.said.entry;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.model.log.Titration;
import io.causticon.core.model.log.Titration.Acid;
import io.causticon.core.model.log.TouchFeel;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/** What was seen, felt and measured of the soap. */
final class TestKinds {

    /** Free alkali from which a bar counts as lye-heavy, per cent of NaOH by mass. */
    private static final double ALARMING_ALKALI = 0.1;

    private static final Map<String, WashFeel> WASHES = Map.of(
            "calm",
            WashFeel.CALM,
            "fine",
            WashFeel.CALM,
            "tight",
            WashFeel.TIGHT,
            "dry",
            WashFeel.TIGHT,
            "burn",
            WashFeel.BURNING,
            "burns",
            WashFeel.BURNING,
            "burning",
            WashFeel.BURNING);

    private static final Map<String, TouchFeel> TOUCHES =
            Map.of("firm", TouchFeel.FIRM, "soft", TouchFeel.SOFT, "sticky", TouchFeel.STICKY);

    /** What may follow a finding without making another one of it: where, when, how much. */
    private static final Pattern CIRCUMSTANCE = Pattern.compile(
            "^(?:[,.:;(]|(?:on|at|in|under|along|near|after|before|today|again|everywhere|all|only|when|of|by|with|over|since|from|for|here|now|yet|still|a|one|two|three|some|most|every|mostly|slightly|as|but|and|this|where|than|bars?|\\d+"
                + " bars?)\\b)",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern STANDARD = Pattern.compile(
            "^titrat(?:ed|ion|e)\\s+" + Patterns.NUMBER + "\\s*ml\\s+(?:of\\s+)?" + Patterns.NUMBER
                    + "\\s*(?:n|m|mol(?:/l|\\s+a\\s+litre)?|normal|molar)()\\s+(?:acid\\s+)?" + "(?:for|in|per|to)\\s+("
                    + Patterns.AMOUNT + ")(?:\\s+(?:of\\s+)?soap)?(?:$|[\\s,.])",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern CITRIC = Pattern.compile(
            "^titrat(?:ed|ion|e)\\s+" + Patterns.NUMBER + "\\s*g\\s+(?:of\\s+)?" + Patterns.NUMBER
                    + "\\s*(?:%|per\\s?cent)\\s+citric(?:\\s+acid)?(\\s+monohydrate)?\\s+" + "(?:for|in|per|to)\\s+("
                    + Patterns.AMOUNT + ")(?:\\s+(?:of\\s+)?soap)?(?:$|[\\s,.])",
            Pattern.CASE_INSENSITIVE);

    private static final Pattern PER_CENT = Pattern.compile(
            "^titrat(?:ed|ion|e)\\s+" + Patterns.NUMBER + "\\s*(%|ml|g|mg|drops?|mol|n)?(?:$|[\\s,.])",
            Pattern.CASE_INSENSITIVE);
    private static final Pattern FIGURE = Pattern.compile(
            "^\\s*(?:of\\s+|for\\s+|in\\s+|per\\s+)?\\d|\\b(?:ml|n|normal|molar|citric)\\b", Pattern.CASE_INSENSITIVE);

    private static final Pattern FINDING = Pattern.compile("^(see|seen|no)\\s+(.+)", Pattern.CASE_INSENSITIVE);

    /** Per cent by which a titration and its result may differ for being written in decimals. */
    private static final double ROUNDING = 1e-6;

    private static final EntryKind<Entry.PhRead> PH = EntryKind.of(
                    Entry.PhRead.class,
                    "ph",
                    Authority.INSTRUMENT,
                    (e, check) -> check.within("pH", e.ph(), EntryCheck.PH))
            .tells(Tells.TESTS)
            .version(2)
            .words((p, n) -> BarsSaid.after(
                    Phrase.of(
                            p.method() == PhMethod.STRIP ? "strip on paste: {}" : "1 % solution, pen: pH {}",
                            new Exactly(p.ph(), p.ph() == Math.rint(p.ph()) ? 0 : 1)),
                    p.on()))
            .typed((p, pen) -> "ph " + pen.number(p.ph()) + (p.method() == PhMethod.STRIP ? " strip" : " meter")
                    + BarsSaid.typed(p.on(), pen))
            .phraseOnBars(
                    "ph\\s+" + Patterns.NUMBER + "(?:\\s+(strip|meter|pen))?",
                    (m, on) -> ph(m.group(1), m.group(2), on))
            .phraseOnBars("(strip|pen|meter)\\s+" + Patterns.NUMBER, (m, on) -> ph(m.group(2), m.group(1), on))
            .on(OnStrip.OPEN);

    private static final EntryKind<Entry.WashTested> WASH = EntryKind.of(
                    Entry.WashTested.class, "wash", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.TESTS)
            .version(2)
            .words((w, n) -> BarsSaid.after(Phrase.of("wash test: {}", Pen.lower(w.feel())), w.on()))
            .typed((w, pen) -> "wash " + Pen.lower(w.feel()) + BarsSaid.typed(w.on(), pen))
            .phraseOnBars(
                    "wash\\s+" + Patterns.oneOf(WASHES),
                    (m, on) -> new Entry.WashTested(Patterns.meant(WASHES, m.group(1)), on))
            .on(w -> switch (w.feel()) {
                case CALM -> OnStrip.CALM;
                case TIGHT -> OnStrip.OPEN;
                case BURNING -> OnStrip.ALARM;
            });

    private static final EntryKind<Entry.TouchTested> TOUCH = EntryKind.of(
                    Entry.TouchTested.class, "touch", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.TESTS)
            .version(2)
            .words((t, n) -> BarsSaid.after(Phrase.of("touch: {}", Pen.lower(t.feel())), t.on()))
            .typed((t, pen) -> "touch " + Pen.lower(t.feel()) + BarsSaid.typed(t.on(), pen))
            .phraseOnBars(
                    "touch\\s+" + Patterns.oneOf(TOUCHES),
                    (m, on) -> new Entry.TouchTested(Patterns.meant(TOUCHES, m.group(1)), on))
            .on(OnStrip.OPEN);

    private static final EntryKind<Entry.Lathered> LATHER = EntryKind.of(
                    Entry.Lathered.class,
                    "lather",
                    Authority.PROGRAM,
                    (e, check) -> check.within("The grade of a lather", e.grade(), EntryCheck.LATHER))
            .tells(Tells.TESTS)
            .words((l, n) -> BarsSaid.after(Phrase.of("lather {} of 5", l.grade()), l.on()))
            .typed((l, pen) -> "lather " + l.grade() + BarsSaid.typed(l.on(), pen))
            .phraseOnBars(
                    "lather(?:s|ed)?\\s+(\\d{1,3})(?:\\s+of\\s+5)?",
                    (m, on) -> new Entry.Lathered(
                            (int) Patterns.within("The grade of a lather", m.group(1), EntryCheck.LATHER), on))
            .on(OnStrip.OPEN);

    private static final Map<String, SensoryScale> SCALES =
            Arrays.stream(SensoryScale.values()).collect(Collectors.toMap(SensoryScale::word, x -> x));
    private static final Pattern GRADE =
            Pattern.compile(Patterns.oneOf(SCALES) + "\\s+(\\d{1,3})", Pattern.CASE_INSENSITIVE);

    private static final EntryKind<Entry.Judged> JUDGED = EntryKind.of(
                    Entry.Judged.class, "judged", Authority.PERSON, TestKinds::check)
            .tells(Tells.TESTS)
            .version(2)
            .words((j, n) -> BarsSaid.after(judgedWords(j), j.on()))
            .typed((j, pen) -> "judged by " + Quotes.around(j.judge()) + ", " + j.place() + " of " + j.of()
                    + pen.temperature(" in water of ", j.water()) + ": " + grades(j) + BarsSaid.typed(j.on(), pen))
            .phraseOnBarsIn(
                    "judged\\s+by\\s+(" + Quotes.QUOTED
                            + "|[\\p{L}' -]+?)\\s*,?\\s+(\\d{1,3})\\s+of\\s+(\\d{1,3})(?:\\s+in\\s+water\\s+of\\s+"
                            + Patterns.DEGREES + ")?\\s*:\\s*(" + Patterns.oneOf(SCALES) + "\\s+\\d{1,3}(?:\\s*,\\s*"
                            + Patterns.oneOf(SCALES) + "\\s+\\d{1,3})*)",
                    TestKinds::judged)
            .on(OnStrip.OPEN);

    private static final EntryKind<Entry.NeedleRead> NEEDLE = EntryKind.of(
                    Entry.NeedleRead.class,
                    "needle",
                    Authority.INSTRUMENT,
                    (e, check) -> check.within("The depth of the needle in mm", e.millimetres(), EntryCheck.NEEDLE))
            .tells(Tells.TESTS)
            .words((l, n) -> BarsSaid.after(Phrase.of("needle {} mm deep", new Exactly(l.millimetres(), 1)), l.on()))
            .typed((l, pen) -> "needle " + pen.number(l.millimetres()) + " mm" + BarsSaid.typed(l.on(), pen))
            .phraseOnBars(
                    "needle\\s+" + Patterns.NUMBER + "\\s*(?:mm)?",
                    (m, on) -> new Entry.NeedleRead(
                            Patterns.within("The depth of the needle in mm", m.group(1), EntryCheck.NEEDLE), on))
            .on(OnStrip.OPEN);

    private static final EntryKind<Entry.Titrated> TITRATED = EntryKind.of(
                    Entry.Titrated.class, "titrated", Authority.INSTRUMENT, TestKinds::check)
            .tells(Tells.TESTS)
            .version(3)
            .words((t, n) -> BarsSaid.after(said(t), t.on()))
            .typed((t, pen) -> "titrate " + (t.by() == null ? pen.number(t.freeAlkaliPercent()) : typed(t.by(), pen))
                    + BarsSaid.typed(t.on(), pen))
            .way((text, context) -> titration(STANDARD, text, context))
            .way((text, context) -> titration(CITRIC, text, context))
            .way(TestKinds::titratedPerCent)
            .on(t -> t.freeAlkaliPercent() >= ALARMING_ALKALI ? OnStrip.ALARM : OnStrip.CALM);

    private static final EntryKind<Entry.Observed> OBSERVED = EntryKind.of(
                    Entry.Observed.class, "finding", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.TESTS)
            .version(2)
            .words((o, n) -> BarsSaid.after(
                    Phrase.of(
                            "{}",
                            Findings.find(o.finding())
                                    .map(f -> o.presence() == Presence.SEEN ? f.words() : "looked: " + f.absent())
                                    .orElse(o.finding())),
                    o.on()))
            .typed((o, pen) -> (o.presence() == Presence.SEEN ? "see " : "no ")
                    + Findings.find(o.finding()).map(Finding::words).orElse(o.finding())
                    + BarsSaid.typed(o.on(), pen))
            .way(TestKinds::finding)
            .phraseOnBars(
                    "phenolphthalein(?:\\s+drop)?\\s+(pink|clear|colou?rless)",
                    (m, on) -> new Entry.Observed(
                            Findings.PINK_DROP.id(),
                            "pink".equals(Patterns.lower(m.group(1))) ? Presence.SEEN : Presence.LOOKED_AND_ABSENT,
                            on))
            .on(OnStrip.OPEN);

    static final List<EntryKind<?>> ALL = List.of(PH, WASH, TOUCH, LATHER, JUDGED, NEEDLE, TITRATED, OBSERVED);

    private TestKinds() {}

    private static String grades(Entry.Judged judged) {
        return judged.grades().stream()
                .map(g -> g.scale().word() + " " + g.grade())
                .collect(Collectors.joining(", "));
    }

    private static Phrase judgedWords(Entry.Judged judged) {
        return judged.water() == null
                ? Phrase.of("judged by {}, {} of {}: {}", judged.judge(), judged.place(), judged.of(), grades(judged))
                : Phrase.of(
                        "judged by {}, {} of {} in water of {}: {}",
                        judged.judge(),
                        judged.place(),
                        judged.of(),
                        new Exactly(judged.water()),
                        grades(judged));
    }

    private static Entry.Judged judged(Matcher m, @Nullable Bars on, QuickContext context) {
        List<Entry.Judged.Grade> grades = new ArrayList<>();
        Matcher grade = GRADE.matcher(m.group(5));
        while (grade.find()) {
            grades.add(new Entry.Judged.Grade(Patterns.meant(SCALES, grade.group(1)), (int)
                    Patterns.within("A grade", grade.group(2), EntryCheck.LATHER)));
        }
        int of = (int) Patterns.within("Bars in a round", m.group(3), EntryCheck.ROUND);
        int place = (int) Patterns.within("The place in the round", m.group(2), Interval.between(1, of));
        Temperature water =
                m.group(4) == null ? null : TemperatureNotation.read(Patterns.FIELD, m.group(4), context.units());
        return new Entry.Judged(Quotes.taken(m.group(1)), place, of, grades, water, on);
    }

    private static Entry.PhRead ph(String number, @Nullable String method, @Nullable Bars on) {
        boolean meter = method != null && !"strip".equals(Patterns.lower(method));
        return new Entry.PhRead(
                Patterns.within("pH", number, EntryCheck.PH), meter ? PhMethod.METER : PhMethod.STRIP, on);
    }

    private static Phrase said(Entry.Titrated titrated) {
        Exactly percent = new Exactly(titrated.freeAlkaliPercent(), 2);
        Titration by = titrated.by();
        return by == null
                ? Phrase.of("titrated: free alkali {} %", percent)
                : Phrase.of(
                        "titrated: free alkali {} %, to {} either way ({} {} {} for {})",
                        percent,
                        new Exactly(by.freeAlkaliPercent().halfWidth95(), 2),
                        new Exactly(by.used(), 2),
                        by.acid().isStandard() ? "ml of" : "g of",
                        by.acid().isStandard()
                                ? Phrase.of("{} N", new Exactly(by.strength(), 3))
                                : Phrase.of("{} % citric acid", new Exactly(by.strength(), 2)),
                        // In a laboratory's unit, whatever her kitchen's is.
                        Phrase.of("{} g", new Exactly(by.soap().grams(), 2)));
    }

    private static String typed(Titration by, Pen pen) {
        String strong = pen.number(by.strength());
        String acid = switch (by.acid()) {
            case STANDARD -> " ml of " + strong + " N";
            case CITRIC -> " g of " + strong + " % citric";
            case CITRIC_MONOHYDRATE -> " g of " + strong + " % citric monohydrate";
        };
        return pen.number(by.used()) + acid + " for " + pen.mass(by.soap());
    }

    private static Optional<Way.Match> titration(Pattern way, String text, QuickContext context) {
        Matcher m = way.matcher(text);
        if (!m.find()) {
            return Optional.empty();
        }
        Acid acid = way == STANDARD ? Acid.STANDARD : m.group(3) == null ? Acid.CITRIC : Acid.CITRIC_MONOHYDRATE;
        Titration by = new Titration(
                acid,
                Patterns.within("acid", m.group(1), Titration.USED),
                Patterns.within("The strength of the acid", m.group(2), acid.strengths()),
                Patterns.mass("soap", m.group(4), Mass.grams(Titration.SOAP_GRAMS.high()), context));
        BarsSaid.Said said =
                BarsSaid.read(text.substring(m.end(4)).replaceFirst("^\\s+(?:of\\s+)?soap\\b", ""), context);
        Entry entry = Entry.Titrated.of(by, said.bars());
        EntryCheck.of(entry).throwIfAny();
        return Optional.of(new Way.Match(entry, said.rest()));
    }

    /**
     * {@code titrate 0.05}: per cent. What goes on with another number was meant as how it was done, and is asked
     * about.
     */
    private static Optional<Way.Match> titratedPerCent(String text, QuickContext context) {
        Matcher m = PER_CENT.matcher(text);
        if (!m.find()) {
            return Optional.empty();
        }
        BarsSaid.Said said = BarsSaid.read(text.substring(m.end()), context);
        if (FIGURE.matcher(said.rest()).find()) {
            throw ProblemsException.of(Patterns.FIELD, ProblemKey.NOT_PER_CENT, m.group(1) + said.rest());
        }
        return Optional.of(new Way.Match(new Entry.Titrated(alkali(m.group(1), m.group(2)), said.bars()), said.rest()));
    }

    private static double alkali(String percent, @Nullable String unit) {
        if (unit != null && !unit.equals("%")) {
            throw ProblemsException.of(Patterns.FIELD, ProblemKey.NOT_PER_CENT, percent + " " + unit);
        }
        return Patterns.within("free alkali", percent, EntryCheck.FREE_ALKALI);
    }

    private static Optional<Way.Match> finding(String text, QuickContext context) {
        Matcher said = FINDING.matcher(text);
        if (!said.find()) {
            return Optional.empty();
        }
        String words = Patterns.lower(said.group(2)).trim();
        boolean absent = "no".equals(Patterns.lower(said.group(1)));
        Optional<Map.Entry<String, String>> known = context.findings().entrySet().stream()
                .filter(f -> words.equals(f.getKey())
                        || words.startsWith(f.getKey())
                                && isCircumstance(words.substring(f.getKey().length())))
                .max(Comparator.comparingInt(f -> f.getKey().length()));
        if (known.isEmpty()) {
            // What was seen and is not known is asked about; what is not there may be anything.
            if (absent) {
                return Optional.empty();
            }
            throw ProblemsException.of(
                    Patterns.FIELD, ProblemKey.UNKNOWN_FINDING, said.group(2).trim());
        }
        return known.map(f -> {
            BarsSaid.Said rest = BarsSaid.read(words.substring(f.getKey().length()), context);
            return new Way.Match(
                    new Entry.Observed(f.getValue(), absent ? Presence.LOOKED_AND_ABSENT : Presence.SEEN, rest.bars()),
                    rest.rest());
        });
    }

    private static boolean isCircumstance(String rest) {
        return rest.isBlank()
                || CIRCUMSTANCE.matcher(rest.strip()).find()
                        && (rest.startsWith(" ") || !Character.isLetterOrDigit(rest.charAt(0)));
    }

    private static void check(Entry.Titrated e, EntryCheck check) {
        check.within("free alkali", e.freeAlkaliPercent(), EntryCheck.FREE_ALKALI);
        Titration by = e.by();
        if (by == null) {
            return;
        }
        check.within("acid", by.used(), Titration.USED);
        check.within("The strength of the acid", by.strength(), by.acid().strengths());
        check.within("g of soap", by.soap().grams(), Titration.SOAP_GRAMS);
        // A store that was written to by hand may say two things.
        if (check.isEmpty() && Math.abs(by.freeAlkaliPercent().value() - e.freeAlkaliPercent()) > ROUNDING) {
            check.disagrees(e.freeAlkaliPercent());
        }
    }

    private static void check(Entry.Judged e, EntryCheck check) {
        check.within("bars in a round", e.of(), EntryCheck.ROUND);
        check.within("The place in the round", e.place(), Interval.between(1, Math.max(1, e.of())));
        if (e.water() != null) {
            check.within("Water that hands wash in, C", e.water().celsius(), EntryCheck.WASH_WATER);
        }
        e.grades().forEach(g -> check.within("A grade", g.grade(), EntryCheck.LATHER));
        boolean twice =
                e.grades().stream().map(Entry.Judged.Grade::scale).distinct().count()
                        < e.grades().size();
        if (e.grades().isEmpty() || twice) {
            check.missing();
        }
        check.words(e.judge(), EntryCheck.LONGEST_JUDGE);
    }
}
