package io.causticon.web.places.casebook;

import io.causticon.web.places.batch.RoadWords;
import io.causticon.web.shared.Drawing;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * Everything that the casebook of a batch shows, already worded.
 *
 * @param id names the batch
 * @param name its name
 * @param age how old it is
 * @param seen what the maker said she saw
 * @param notes what was kept as mere words
 * @param logged what follows from other lines of the log
 * @param notLooked what was not looked at and would tell most
 * @param groups all findings to choose from
 * @param ranked the conditions worth showing, hazards first
 * @param unlikely the others in short
 * @param held whether it is held
 * @param verdict in a sentence
 * @param advice what follows from the verdict
 * @param calm whether it may be released
 * @param alarming whether it is held, or a hazard is open
 * @param gate what it must have to be released
 * @param road what would free it, each with its day
 * @param hinges what the verdict hangs on, and what does not go together
 * @param noLook why no look is offered, or what the only use of one is; empty where looks help
 * @param next the most telling next look
 * @param further other looks
 * @param causes what would explain the leading hazard or condition
 * @param causeOf which condition that is
 * @param causeId id of that
 * @param rework whether it is made of scraps, and of no recipe
 * @param rebatch melting it down again, worked out; null where that mends nothing
 * @param now what to do with this batch
 * @param nextTime what to change next time
 * @param also what is there beside that, with what to do about it
 * @param conclusions what makers concluded so far
 * @param past concluded cases that looked like it
 */
record CasebookPage(
        String id,
        String name,
        String age,
        List<Seen> seen,
        List<Note> notes,
        List<Seen> logged,
        List<Look> notLooked,
        List<Group> groups,
        List<Ranked> ranked,
        List<Short> unlikely,
        boolean held,
        String verdict,
        String advice,
        boolean calm,
        boolean alarming,
        List<Wanted> gate,
        RoadWords road,
        List<String> hinges,
        String noLook,
        List<Look> next,
        List<Look> further,
        List<Explanation> causes,
        String causeOf,
        String causeId,
        boolean rework,
        @Nullable Offer rebatch,
        String now,
        String nextTime,
        List<Also> also,
        List<String> conclusions,
        List<Past> past) {

    /** Something that was looked at: whether it was there, its words, when. */
    record Seen(boolean present, String words, String when) {}

    /** Something to look at: its name, how, how long, and what each outcome would do. */
    record Look(
            String finding,
            String words,
            String how,
            String effort,
            String about,
            String ifFound,
            String absent,
            String ifNot,
            Answer answer) {}

    /** Something else that is there: its name, how likely, what to do now, what to change. */
    record Also(String name, String probability, String now, String nextTime) {}

    /** A concluded case that looked like this one. */
    record Past(String batch, String name, String age, String conclusion, String shared) {}

    /** How a look is answered: by a number, or by yes and no on some bars. */
    enum Answer {
        /** Free alkali, per cent. */
        TITRATION,
        /** The pH of one per cent in water. */
        METER,
        /** It matters on which bars. */
        BARS,
        /** Three bars are cut for it. */
        THREE_BARS,
        /** Yes or no. */
        PLAIN;

        public boolean isNumber() {
            return this == TITRATION || this == METER;
        }

        public boolean isOfBars() {
            return this == BARS || this == THREE_BARS;
        }
    }

    /** Findings of one place. */
    record Group(String title, List<Choice> choices) {}

    /** One finding to choose: its id, its words, and what is known of it ({@code seen}, {@code absent} or empty). */
    record Choice(String finding, String words, String absent, String known) {}

    /** What words may mean; empty words where nothing was asked. */
    record Guesses(String words, List<Choice> choices) {

        static final Guesses NONE = new Guesses("", List.of());
    }

    /** Mere words, and when they were written. */
    record Note(String words, String when) {}

    /** One condition with its ledger; where it is a quantity, how much of it. */
    record Ranked(
            String id,
            String name,
            String probability,
            boolean hazard,
            String howMuch,
            String account,
            Drawing ledger,
            List<Row> rows) {}

    /** One line of a ledger as a row of its table: the words, the weight, the reason. */
    record Row(String words, String weight, String reason) {}

    /** A condition in short, and whether there is anything to tell of it. */
    record Short(String id, String name, String probability, boolean told) {}

    /** The unlikely ones that there is something to tell of. */
    public List<Short> told() {
        return unlikely.stream().filter(Short::told).toList();
    }

    /**
     * A rebatch as it is worked out: in a sentence, what it becomes, the fat's id and name, both masses as they would
     * be typed, and where it is planned.
     */
    record Offer(
            String words,
            String becomes,
            String fat,
            String fatName,
            String mass,
            String water,
            boolean tooMuch,
            String plan) {}

    /** One thing that a release wants, and whether it is there. */
    record Wanted(boolean met, String words) {}

    /** One cause with its arithmetic, and the check that tells it from the next. */
    record Explanation(String words, String arithmetic, String check, String probability) {}
}
