package io.causticon.core.science.draw;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Condition;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class AppearancesTest {

    private static final Appearances TABLES = Appearances.read();

    /** What is too much alkali all through is drawn in moles instead. */
    @Test
    void everyConditionIsDrawnOnce() {
        List<String> drawn =
                TABLES.all().stream().map(Appearances.Appearance::condition).toList();
        List<String> known = StandardKnowledge.all().conditions().stream()
                .map(Condition::id)
                .filter(id -> !id.equals("lye-heavy"))
                .toList();
        assertThat(drawn).doesNotHaveDuplicates().containsExactlyInAnyOrderElementsOf(known);
    }

    @Test
    void everyLookCanBeSaidAndIsLookedForWhenItMeansSomething() {
        TABLES.background().forEach((look, background) -> {
            double from = Findings.find(look)
                            .orElseThrow(() -> new AssertionError(look))
                            .from()
                            .toMinutes()
                    / 1440.0;
            assertThat(background.day()).as(look).isGreaterThanOrEqualTo(from);
            assertThat(background.anyway()).as(look).isBetween(0.001, 0.5);
            assertThat(TABLES.background().keySet()).containsAll(background.onlyWith());
        });
        TABLES.all().forEach(a -> {
            assertThat(TABLES.background().keySet())
                    .as(a.condition())
                    .containsAll(a.looks().keySet());
            assertThat(a.looks().values()).allMatch(share -> share > 0 && share < 1);
        });
    }

    @Test
    void aCaseHasWhatWasWantedAndItsRecipeWhatThatNeeds() {
        Random random = new Random(3);
        for (Appearances.Appearance wanted : TABLES.all()) {
            DrawnCase drawn = new DrawnCase(TABLES, wanted, random, Logging.ALL_LOOKED_AT);
            assertThat(drawn.conditions()).contains(wanted.condition());
            assertThat(drawn.log().entries()).allMatch(line -> !line.at().isAfter(drawn.askedAt()));
            if (!wanted.needs().isEmpty()) {
                assertThat(DrawnRecipe.with(wanted.needs(), random).has()).contains(wanted.needs());
            }
        }
    }
}
