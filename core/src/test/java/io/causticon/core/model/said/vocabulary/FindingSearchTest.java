package io.causticon.core.model.said.vocabulary;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import java.util.List;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/**
 * Four phrases for each finding, two of which the table of sayings knows. The other two stand here alone: nothing was
 * changed after they were tried. All were written by the same hands as the table, so makers will be understood somewhat
 * less often than this.
 */
class FindingSearchTest {

    private static final List<Saying> HEARD = Saying.of("heard-while-building.csv");
    private static final List<Saying> HEARD_AFTERWARDS = Saying.of("heard-afterwards.csv");

    private final FindingSearch search = FindingSearch.standard();

    private double share(List<Saying> phrases, int among) {
        return phrases.stream()
                        .filter(p -> ids(p.said(), among).contains(p.finding()))
                        .count()
                / (double) phrases.size();
    }

    private List<String> ids(String words, int most) {
        return search.guesses(words, most).stream().map(g -> g.finding().id()).toList();
    }

    @Test
    void phrasesAreManyAndOfEveryFinding() {
        assertThat(HEARD.size() + HEARD_AFTERWARDS.size()).isGreaterThanOrEqualTo(400);
        Set<String> all = Findings.ALL.stream().map(Finding::id).collect(Collectors.toSet());
        assertThat(HEARD.stream().map(Saying::finding)).allMatch(all::contains).containsAll(all);
        assertThat(HEARD_AFTERWARDS.stream().map(Saying::finding)).containsAll(all);
        Set<String> known = Saying.all().stream().map(Saying::said).collect(Collectors.toSet());
        assertThat(HEARD_AFTERWARDS.stream().map(Saying::said)).noneMatch(known::contains);
    }

    @Test
    void whatTheTableKnowsIsFoundFirst() {
        assertThat(share(HEARD, 1)).isGreaterThan(0.98);
    }

    @Test
    void whatItDoesNotKnowIsFoundFirstInFourOfFiveAndMissedInOneOfTwenty() {
        assertThat(share(HEARD_AFTERWARDS, 1)).isGreaterThanOrEqualTo(0.80);
        assertThat(share(HEARD_AFTERWARDS, 3)).isGreaterThanOrEqualTo(0.95);
    }

    @ParameterizedTest
    @CsvSource({
        "chalky film that wipes off, crust-wipes",
        "wobbles like jelly, loose-after-two-days",
        "a grey disc in the middle, dark-core",
        "Chalkey filme that wipes of, crust-wipes",
        "glycerin rivrs, glassy-veins",
        "gray flecks in the dish, grey-flecks",
        "stuck to the mold, stuck"
    })
    void anySpellingAndDialectWillDo(String said, String finding) {
        assertThat(ids(said, 3)).contains(finding);
    }

    @ParameterizedTest
    @CsvSource({
        "orange, liquor-orange, orange-dots",
        "foam, tunnels, froth",
        "spots, orange-dots, white-spots",
        "curds, curds, scum",
        "stings, zap, stings-in-one-place",
        "my palms sting, zap, wash-burns",
        "beads, dew, scented-beads",
        "cracks, fine-cracks, crack"
    })
    void wordsWithTwoMeaningsLeadToBoth(String said, String one, String other) {
        assertThat(ids(said, 4)).contains(one, other);
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"call mum", "", " ", "???", "\u0000", "AND OR", "\"", "+(*", "\uD83E\uDDFC\uD83E\uDDFC", "zzzzzz"
            })
    void wordsThatMeanNothingHereLeadNowhere(String said) {
        assertThat(ids(said, 3)).isEmpty();
    }

    @Test
    void aLongStoryIsTakenByItsBeginning() {
        assertThat(ids("white hard lumps inside the bar, " + "and so on and on the whole day ".repeat(400), 3))
                .contains("white-spots");
    }
}
