package io.causticon.core.model.said.entry;

import com.google.re2j.Matcher;
import com.google.re2j.Pattern;
import io.causticon.core.model.said.vocabulary.FindingSearch;
import java.util.List;

/** Which findings a line may tell of that is not in the words of the table. */
final class Sightings {

    private static final int MOST = 4;

    /**
     * Guesses from here on are worth a question where nobody said that something was seen: of no unit, from phrases
     * that were tried.
     */
    private static final double WORTH_ASKING = 12;

    private static final Pattern SAID = Pattern.compile(
            "^(?:(see|seen|saw|there(?:'s| is| are)|i see)|(no|looked[,:]? no))\\s+(.+)", Pattern.CASE_INSENSITIVE);

    private Sightings() {}

    /** What a line may tell of, without its moment. */
    static List<Suggestion> suggestions(String line) {
        Matcher said = SAID.matcher(line);
        boolean spoken = said.find();
        String words = spoken ? said.group(3) : line;
        boolean absent = spoken && said.group(2) != null;
        return FindingSearch.standard().guesses(words, MOST).stream()
                .filter(g -> spoken || g.score() >= WORTH_ASKING)
                .map(g -> absent
                        ? new Suggestion(
                                "looked: " + g.finding().absent(),
                                "no " + g.finding().words())
                        : new Suggestion(
                                g.finding().words(), "see " + g.finding().words()))
                .toList();
    }
}
