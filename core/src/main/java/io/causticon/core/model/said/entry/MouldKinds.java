package io.causticon.core.model.said.entry;

import static io.causticon.core.model.said.entry.Patterns.DEGREES;
import static java.util.Map.entry;

import com.google.re2j.Matcher;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.MouldLook;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.wording.Exactly;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Into the mould, in it, and out of it. */
final class MouldKinds {

    private static final Map<String, MouldCare> KEEPINGS = Map.ofEntries(
            entry("cover", MouldCare.COVERED),
            entry("covered", MouldCare.COVERED),
            entry("film", MouldCare.COVERED),
            entry("insulate", MouldCare.INSULATED),
            entry("insulated", MouldCare.INSULATED),
            entry("towel", MouldCare.INSULATED),
            entry("uncover", MouldCare.UNCOVERED),
            entry("oven", MouldCare.OVEN),
            entry("fridge", MouldCare.FRIDGE),
            entry("freezer", MouldCare.FREEZER),
            entry("spray", MouldCare.SPRAYED));

    private static final Map<String, GelExtent> EXTENTS = Map.of(
            "none",
            GelExtent.NONE,
            "no",
            GelExtent.NONE,
            "partial",
            GelExtent.PARTIAL,
            "full",
            GelExtent.FULL,
            "seen",
            GelExtent.FULL);

    private static final EntryKind<Entry.AirTapped> TAPPED = EntryKind.of(
                    Entry.AirTapped.class, "tapped", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.MOULD)
            .words("air tapped out")
            .typed((e, pen) -> "tapped")
            .phrase("tap(?:ped)?(?:\\s+out)?$", (m, c) -> new Entry.AirTapped())
            .event("tapped");

    private static final EntryKind<Entry.Poured> POURED = EntryKind.of(
                    Entry.Poured.class,
                    "poured",
                    Authority.PROGRAM,
                    (e, check) -> check.degrees(
                            MeasurementPoint.BATTER.name(), e.batter(), MeasurementPoint.BATTER.possibleCelsius()))
            .tells(Tells.MOULD)
            .marked(Mark.BATTER)
            .words((p, n) ->
                    p.batter() == null ? Phrase.of("poured") : Phrase.of("poured at {}", new Exactly(p.batter())))
            .typed((p, pen) -> "poured" + pen.temperature(" ", p.batter()))
            .phrase(
                    "pour(?:ed)?(?:\\s+(?:at\\s+)?" + DEGREES + ")?",
                    (m, c) -> new Entry.Poured(Patterns.temperatureAt(MeasurementPoint.BATTER, m.group(1), c)))
            .event("poured");

    private static final EntryKind<Entry.Kept> KEPT = EntryKind.of(
                    Entry.Kept.class,
                    "kept",
                    Authority.PROGRAM,
                    (e, check) -> check.degrees("Where the mould stands", e.temperature(), EntryCheck.KEPT_AT))
            .tells(Tells.MOULD)
            .words((k, n) -> k.temperature() == null
                    ? Phrase.of(said(k.keeping()))
                    : Phrase.of("{} at {}", said(k.keeping()), new Exactly(k.temperature())))
            .typed((k, pen) -> written(k.keeping()) + pen.temperature(" ", k.temperature()))
            .phrase(Patterns.oneOf(KEEPINGS) + "(?:\\s+" + DEGREES + ")?", MouldKinds::kept)
            .on(OnStrip.EVENT);

    private static final EntryKind<Entry.GelSeen> GEL = EntryKind.of(
                    Entry.GelSeen.class, "gel", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.MOULD)
            .marked(Mark.CORE)
            .words((g, n) -> Phrase.of("gel seen: {}", Pen.lower(g.extent())))
            .typed((g, pen) -> "gel " + Pen.lower(g.extent()))
            .phrase(
                    "gel\\s+" + Patterns.oneOf(EXTENTS),
                    (m, c) -> new Entry.GelSeen(Patterns.meant(EXTENTS, m.group(1))))
            .event((g, n) -> Phrase.of("gel {}", Pen.lower(g.extent())));

    private static final EntryKind<Entry.MouldTried> TRIED = EntryKind.of(
                    Entry.MouldTried.class, "mould-tried", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.MOULD)
            .words((t, n) -> Phrase.of(said(t.look())))
            .typed((t, pen) -> said(t.look()))
            .phrase(
                    "(?:the\\s+)?side\\s+(lets\\s+go|clings)$",
                    (m, c) -> new Entry.MouldTried(
                            m.group(1).toLowerCase(Locale.ROOT).startsWith("lets")
                                    ? MouldLook.LETS_GO
                                    : MouldLook.CLINGS))
            .phrase(
                    "(?:the\\s+)?edge\\s+(dents|(?:is\\s+)?firm)$",
                    (m, c) -> new Entry.MouldTried(
                            m.group(1).equalsIgnoreCase("dents") ? MouldLook.DENTS : MouldLook.FIRM))
            .on(OnStrip.EVENT);

    private static final EntryKind<Entry.Unmoulded> UNMOULDED = EntryKind.of(
                    Entry.Unmoulded.class, "unmoulded", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.MOULD)
            .words("unmoulded")
            .typed((e, pen) -> "unmould")
            .phrase("unmould(?:ed)?|unmold(?:ed)?", (m, c) -> new Entry.Unmoulded())
            .on(OnStrip.EVENT);

    private static final EntryKind<Entry.Cut> CUT = EntryKind.of(
                    Entry.Cut.class,
                    "cut",
                    Authority.PROGRAM,
                    (e, check) -> check.within("bars", e.bars(), EntryCheck.BARS))
            .tells(Tells.MOULD)
            .words((c, n) -> c.bars() == 1 ? Phrase.of("cut") : Phrase.of("cut into {} bars", c.bars()))
            .typed((c, pen) -> "cut " + c.bars())
            .phrase(
                    "cut(?:\\s+(?:in(?:to)?\\s+)?" + Patterns.NUMBER + "(?:\\s*bars?)?)?",
                    (m, c) -> new Entry.Cut(bars(m.group(1))))
            .event("cut");

    private static final EntryKind<Entry.Rebatched> REBATCHED = EntryKind.of(
                    Entry.Rebatched.class, "rebatched", Authority.PERSON, MouldKinds::check)
            .tells(Tells.MOULD)
            .marked(Mark.BATTER)
            .words((r, n) -> r.fat() == null || r.mass() == null
                    ? Phrase.of("rebatched with {} of water", r.water())
                    : Phrase.of("rebatched with {} of {} and {} of water", r.mass(), n.of(r.fat()), r.water()))
            .typed((r, pen) -> "rebatched with "
                    + (r.fat() == null ? "" : pen.weighable(r.fat()) + pen.mass(" ", r.mass()) + " and ")
                    + pen.mass(r.water()) + " of water")
            .phrase(
                    "rebatch(?:ed)?(?:\\s+with)?\\s+(?:" + Patterns.NAME + "\\s+(" + Patterns.AMOUNT
                            + "),?\\s+and\\s+)?(" + Patterns.AMOUNT + ")\\s+(?:of\\s+)?water",
                    MouldKinds::rebatched)
            .event("rebatched");

    private static final EntryKind<Entry.ScrapsKept> SCRAPS = EntryKind.of(
                    Entry.ScrapsKept.class, "scraps-kept", Authority.PROGRAM, MouldKinds::check)
            .tells(Tells.MOULD)
            .words((k, n) -> Phrase.of("{} of scraps kept: {}", k.mass(), k.colour()))
            .typed((k, pen) -> "scraps " + Quotes.around(k.colour()) + pen.mass(" ", k.mass()))
            .phrase(
                    "(?:kept\\s+)?(?:scraps?|trimmings?|shavings?|off-?cuts?)\\s+(?:of\\s+)?(?:" + Patterns.NAME
                            + "\\s+)?(" + Patterns.AMOUNT + ")",
                    (m, c) -> new Entry.ScrapsKept(
                            m.group(1) == null ? "mixed" : Quotes.taken(m.group(1)),
                            Patterns.mass("scraps", m.group(2), EntryCheck.HEAVIEST, c)))
            .notOnStrip();

    static final List<EntryKind<?>> ALL = List.of(TAPPED, POURED, KEPT, GEL, TRIED, UNMOULDED, CUT, SCRAPS, REBATCHED);

    private MouldKinds() {}

    private static Entry.Rebatched rebatched(Matcher m, QuickContext context) {
        Mass water = Patterns.mass("water", m.group(3), EntryCheck.HEAVIEST, context);
        if (m.group(1) == null) {
            return new Entry.Rebatched(null, null, water);
        }
        String called = Quotes.taken(m.group(1));
        Weighable fat = context.names()
                .weighable(called)
                .filter(w -> w.kind() == Weighable.Kind.FAT)
                .orElseThrow(() -> ProblemsException.of(Patterns.FIELD, ProblemKey.UNKNOWN_SUBSTANCE, called));
        return new Entry.Rebatched(fat, Patterns.mass(called, m.group(2), EntryCheck.HEAVIEST, context), water);
    }

    private static Entry.Kept kept(Matcher m, QuickContext context) {
        return new Entry.Kept(
                Patterns.meant(KEEPINGS, m.group(1)),
                m.group(2) == null ? null : TemperatureNotation.read(Patterns.FIELD, m.group(2), context.units()));
    }

    private static int bars(@Nullable String said) {
        return said == null ? 1 : (int) Math.round(Patterns.within("bars", said, EntryCheck.BARS));
    }

    private static String said(MouldLook look) {
        return switch (look) {
            case LETS_GO -> "side lets go";
            case CLINGS -> "side clings";
            case DENTS -> "edge dents";
            case FIRM -> "edge is firm";
        };
    }

    private static String said(MouldCare keeping) {
        return switch (keeping) {
            case COVERED -> "covered";
            case INSULATED -> "insulated";
            case UNCOVERED -> "uncovered";
            case OVEN -> "into the oven";
            case FRIDGE -> "into the fridge";
            case FREEZER -> "into the freezer";
            case SPRAYED -> "sprayed with alcohol";
        };
    }

    private static String written(MouldCare keeping) {
        return switch (keeping) {
            case COVERED -> "cover";
            case INSULATED -> "insulate";
            case UNCOVERED -> "uncover";
            case OVEN -> "oven";
            case FRIDGE -> "fridge";
            case FREEZER -> "freezer";
            case SPRAYED -> "spray";
        };
    }

    private static void check(Entry.Rebatched e, EntryCheck check) {
        check.mass("fat", e.mass(), EntryCheck.HEAVIEST);
        check.mass("water", e.water(), EntryCheck.HEAVIEST);
        if ((e.fat() == null) != (e.mass() == null)
                || e.fat() != null && e.fat().kind() != Weighable.Kind.FAT) {
            check.missing();
        }
    }

    private static void check(Entry.ScrapsKept e, EntryCheck check) {
        check.mass("scraps", e.mass(), EntryCheck.HEAVIEST);
        check.words(e.colour(), EntryCheck.LONGEST_COLOUR);
    }
}
