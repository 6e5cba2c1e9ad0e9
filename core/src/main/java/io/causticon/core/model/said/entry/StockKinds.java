package io.causticon.core.model.said.entry;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Standing;
import io.causticon.core.model.log.Whither;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.wording.Phrase;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * Where bars went, and which are set apart: {@code sold 6 bars to the harbour shop},
 * {@code set apart bars 2, 5: they weep}.
 */
final class StockKinds {

    private static final Map<String, Whither> WHERE = where();

    private static final Map<String, Standing> STANDINGS = standings();

    private static final Pattern WENT = Pattern.compile(
            "^" + Patterns.oneOf(WHERE) + "\\s+(?:(\\d{1,5})(?:\\s+bars?)?|(bars?\\b[^a-z]*))(.*)$",
            Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final Pattern TO =
            Pattern.compile("^\\s*,?\\s*(?:to|for|at)\\s+(.+)$", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final Pattern APART =
            Pattern.compile("^set\\s+(?:apart|aside)\\s+(.+)$", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final Pattern BACK =
            Pattern.compile("^bring\\s+back\\s+(.+)$", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);
    private static final Pattern BECAUSE =
            Pattern.compile("^\\s*(?::|,|because\\b)\\s*(.+)$", Pattern.CASE_INSENSITIVE | Pattern.DOTALL);

    private static final EntryKind<Entry.BarsWent> WENT_AWAY = EntryKind.of(
                    Entry.BarsWent.class, "bars-went", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.VERDICT)
            .words((w, n) -> Phrase.of(
                    "{}{}{}", said(w.where()), BarsSaid.plain(w.on()), w.to().isBlank() ? "" : " to " + w.to()))
            .typed((w, pen) -> said(w.where())
                    + BarsSaid.typed(w.on(), pen).replaceFirst("^ on", "")
                    + (w.to().isBlank() ? "" : " to " + Quotes.around(w.to())))
            .way(StockKinds::went)
            .notOnStrip();

    private static final EntryKind<Entry.SetApart> SET_APART = EntryKind.of(
                    Entry.SetApart.class, "set-apart", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.VERDICT)
            .marked(Mark.HAZARD)
            .words((s, n) -> Phrase.of("set apart{}: {}", BarsSaid.plain(s.on()), s.reason()))
            .typed((s, pen) -> "set apart" + BarsSaid.typed(s.on(), pen).replaceFirst("^ on", "") + ": "
                    + Quotes.around(s.reason()))
            .way((text, context) -> said(APART, text, context)
                    .map(m -> new Way.Match(new Entry.SetApart(m.bars(), because(m.rest())), "")))
            .notOnStrip();

    private static final EntryKind<Entry.BroughtBack> BROUGHT_BACK = EntryKind.of(
                    Entry.BroughtBack.class, "brought-back", Authority.PERSON, EntryCheck.NOTHING_MORE)
            .tells(Tells.VERDICT)
            .words((b, n) -> Phrase.of("brought back{}: {}", BarsSaid.plain(b.on()), b.reason()))
            .typed((b, pen) -> "bring back" + BarsSaid.typed(b.on(), pen).replaceFirst("^ on", "") + ": "
                    + Quotes.around(b.reason()))
            .way((text, context) -> said(BACK, text, context)
                    .map(m -> new Way.Match(new Entry.BroughtBack(m.bars(), because(m.rest())), "")))
            .notOnStrip();

    private static final EntryKind<Entry.BarsStand> STAND = EntryKind.of(
                    Entry.BarsStand.class, "bars-stand", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.MOULD)
            .words((s, n) -> Phrase.of("bars {}", Patterns.word(STANDINGS, s.how())))
            .typed((s, pen) -> "bars " + Patterns.word(STANDINGS, s.how()))
            .phrase(
                    "(?:the\\s+)?bars\\s+(?:are\\s+|stand\\s+)?" + Patterns.oneOf(STANDINGS),
                    (m, c) -> new Entry.BarsStand(Patterns.meant(STANDINGS, m.group(1))))
            .notOnStrip();

    private static final EntryKind<Entry.ToCure> TO_CURE = EntryKind.of(
                    Entry.ToCure.class,
                    "to-cure",
                    Authority.PROGRAM,
                    (e, check) -> check.within("weeks of cure", e.weeks(), EntryCheck.CURE_WEEKS))
            .tells(Tells.VERDICT)
            .words((c, n) -> Phrase.of("to cure {} weeks at least", c.weeks()))
            .typed((c, pen) -> "cure " + c.weeks() + " weeks")
            .phrase(
                    "(?:to\\s+)?cure\\s+(?:at\\s+least\\s+)?(\\d{1,4})\\s*weeks?(?:\\s+at\\s+least)?",
                    (m, c) -> new Entry.ToCure(
                            (int) Patterns.within("A cure in weeks", m.group(1), EntryCheck.CURE_WEEKS)))
            .notOnStrip();

    static final List<EntryKind<?>> ALL = List.of(WENT_AWAY, SET_APART, BROUGHT_BACK, STAND, TO_CURE);

    private StockKinds() {}

    private static Map<String, Whither> where() {
        Map<String, Whither> words = new LinkedHashMap<>();
        words.put("sold", Whither.SOLD);
        words.put("gave", Whither.GIVEN);
        words.put("given", Whither.GIVEN);
        words.put("kept", Whither.KEPT);
        words.put("destroyed", Whither.DESTROYED);
        words.put("threw away", Whither.DESTROYED);
        return words;
    }

    /** The first of each is how it is written. */
    private static Map<String, Standing> standings() {
        Map<String, Standing> words = new LinkedHashMap<>();
        words.put("apart on a rack", Standing.RACK);
        words.put("on a rack", Standing.RACK);
        words.put("apart on a board", Standing.BOARD);
        words.put("on a board", Standing.BOARD);
        words.put("close together", Standing.CLOSE);
        words.put("wrapped", Standing.WRAPPED);
        words.put("in paper", Standing.WRAPPED);
        words.put("boxed", Standing.WRAPPED);
        return words;
    }

    private static String said(Whither where) {
        return Patterns.word(WHERE, where);
    }

    /** Bars that were certainly named, and what follows. */
    private record Named(Bars bars, String rest) {}

    private static Optional<Way.Match> went(String text, QuickContext context) {
        Matcher m = WENT.matcher(text);
        if (!m.find()) {
            return Optional.empty();
        }
        // "sold 6 of goat" are six bars; "kept 3 g" are none.
        String bars = m.group(2) != null ? m.group(2) + " bars" + m.group(4) : m.group(3) + m.group(4);
        if (m.group(2) != null
                && !m.group(4).isBlank()
                && !m.group(4).strip().matches("(?is)(?:of|from|to|for|at|,|\\.).*")) {
            return Optional.empty();
        }
        BarsSaid.Said said = BarsSaid.read(bars, context);
        if (said.bars() == null) {
            return Optional.empty();
        }
        Matcher to = TO.matcher(said.rest());
        boolean named = to.find();
        return Optional.of(new Way.Match(
                new Entry.BarsWent(
                        said.bars(),
                        Patterns.meant(WHERE, m.group(1)),
                        named ? Quotes.taken(to.group(1).strip()) : ""),
                named ? "" : said.rest()));
    }

    private static Optional<Named> said(Pattern pattern, String text, QuickContext context) {
        Matcher m = pattern.matcher(text);
        if (!m.find()) {
            return Optional.empty();
        }
        BarsSaid.Said said = BarsSaid.read(m.group(1), context);
        BarsSaid.Said of = said.bars() == null ? BarsSaid.read("of " + m.group(1), context) : said;
        if (of.bars() == null) {
            throw ProblemsException.of(
                    Patterns.FIELD, ProblemKey.NOT_BARS, m.group(1).strip());
        }
        return Optional.of(new Named(of.bars(), of.rest()));
    }

    private static String because(@Nullable String rest) {
        Matcher m = BECAUSE.matcher(rest == null ? "" : rest);
        if (!m.find()) {
            throw ProblemsException.of(Patterns.FIELD, ProblemKey.WHY);
        }
        return Quotes.taken(m.group(1).strip());
    }
}
