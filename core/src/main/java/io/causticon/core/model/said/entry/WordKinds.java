package io.causticon.core.model.said.entry;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.wording.Phrase;
import java.util.List;
import java.util.Map;

/** Words, pictures, what a maker decided, and what cannot be understood. */
final class WordKinds {

    /** Keeps words as words, whatever they speak of. */
    static final String JUST_A_NOTE = "just a note:?";

    private static final int LONGEST_SHOWN = 160;

    private static final EntryKind<Entry.Noted> NOTED = EntryKind.of(
                    Entry.Noted.class, "note", Authority.PROGRAM, EntryCheck.NOTHING_MORE)
            .tells(Tells.WORDS)
            .words((note, n) -> Phrase.of("\u201c{}\u201d", note.text()))
            .typed((note, pen) ->
                    (QuickLine.speaksOfBurning(note.text()) ? "just a note " : "note ") + pen.words(note.text()))
            .phrase(JUST_A_NOTE + "\\s+(.+)", (m, c) -> new Entry.Noted(Quotes.taken(m.group(1))))
            .phrase("note\\s+(.+)", (m, c) -> new Entry.Noted(Quotes.taken(m.group(1))))
            .notOnStrip();

    private static final Map<String, Purpose> PURPOSES =
            Map.of("use", Purpose.MADE, "trial", Purpose.TRIAL, "a trial", Purpose.TRIAL, "practice", Purpose.PRACTICE);

    private static final EntryKind<Entry.MeantFor> PURPOSE = EntryKind.of(
                    Entry.MeantFor.class, "purpose", Authority.PERSON, EntryCheck.NOTHING_MORE)
            .tells(Tells.VERDICT)
            .words((m, n) -> Phrase.of("meant for {}", said(m.purpose())))
            .typed((m, pen) -> "meant for " + said(m.purpose()))
            .phrase(
                    "(?:meant\\s+)?for\\s+" + Patterns.oneOf(PURPOSES),
                    (m, c) -> new Entry.MeantFor(Patterns.meant(PURPOSES, m.group(1))))
            .notOnStrip();

    private static final EntryKind<Entry.PhotoTaken> PHOTO = EntryKind.of(
                    Entry.PhotoTaken.class, "photo", Authority.PERSON, EntryCheck.NOTHING_MORE)
            .tells(Tells.WORDS)
            .version(2)
            .words((p, n) -> BarsSaid.after(
                    p.caption().isBlank() ? Phrase.of("picture") : Phrase.of("picture: {}", p.caption()), p.on()))
            .notOnStrip();

    private static final EntryKind<Entry.Held> HELD = EntryKind.of(
                    Entry.Held.class, "held", Authority.PERSON, EntryCheck.NOTHING_MORE)
            .tells(Tells.VERDICT)
            .marked(Mark.HAZARD)
            .words((h, n) -> Phrase.of("held: {}", h.reason()))
            .on(OnStrip.HELD);

    private static final EntryKind<Entry.Released> RELEASED = EntryKind.of(
                    Entry.Released.class, "released", Authority.PERSON, EntryCheck.NOTHING_MORE)
            .tells(Tells.VERDICT)
            .words((r, n) -> Phrase.of("released: {}", r.reason()))
            .on(OnStrip.CALM);

    private static final EntryKind<Entry.Concluded> CONCLUDED = EntryKind.of(
                    Entry.Concluded.class, "concluded", Authority.PERSON, EntryCheck.NOTHING_MORE)
            .version(2)
            .tells(Tells.VERDICT)
            .words((c, n) -> c.words().isBlank()
                    ? Phrase.of("concluded: {}", c.condition().name())
                    : Phrase.of("concluded: {}, {}", c.condition().name(), c.words()))
            .notOnStrip();

    private static final EntryKind<Entry.Abandoned> ABANDONED = EntryKind.of(
                    Entry.Abandoned.class, "abandoned", Authority.PERSON, EntryCheck.NOTHING_MORE)
            .tells(Tells.VERDICT)
            .words((a, n) -> Phrase.of("given up: {}", a.reason()))
            .notOnStrip();

    private static final EntryKind<Entry.Unreadable> UNREADABLE = EntryKind.of(
                    Entry.Unreadable.class, "unreadable", Authority.PERSON, EntryCheck.NOTHING_MORE)
            .words((u, n) -> Phrase.of("cannot be understood: {}", cut(u.kept())))
            .notOnStrip();

    static final List<EntryKind<?>> ALL =
            List.of(PURPOSE, NOTED, PHOTO, HELD, RELEASED, CONCLUDED, ABANDONED, UNREADABLE);

    private WordKinds() {}

    private static String said(Purpose purpose) {
        return switch (purpose) {
            case MADE -> "use";
            case TRIAL -> "a trial";
            case PRACTICE -> "practice";
        };
    }

    private static String cut(String kept) {
        return kept.length() <= LONGEST_SHOWN ? kept : kept.substring(0, LONGEST_SHOWN) + "\u2026";
    }
}
