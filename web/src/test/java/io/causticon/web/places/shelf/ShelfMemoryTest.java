package io.causticon.web.places.shelf;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.log.Behaviour;
import io.causticon.core.science.making.IngredientMemory;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What is shown of many uses of an ingredient. */
class ShelfMemoryTest {

    private static final Instant LATEST = Instant.parse("2026-11-01T10:00:00Z");

    private static IngredientMemory.Use use(int weeksAgo, Set<Behaviour> did) {
        return new IngredientMemory.Use(
                "Batch " + weeksAgo,
                LATEST.minus(Duration.ofDays(7L * weeksAgo)),
                20,
                null,
                Optional.empty(),
                Optional.empty(),
                Optional.empty(),
                did);
    }

    @Test
    void whatWentWrongLongAgoIsNotPushedOutByWhatWentWellSince() {
        List<IngredientMemory.Use> uses = new ArrayList<>();
        for (int week = 0; week < 300; week++) {
            uses.add(use(week, week == 250 || week == 290 ? Set.of(Behaviour.RICED) : Set.of()));
        }
        assertThat(ShelfController.latest(uses))
                .extracting(IngredientMemory.Use::batch)
                .containsExactly(
                        "Batch 0", "Batch 1", "Batch 2", "Batch 3", "Batch 4", "Batch 5", "Batch 250", "Batch 290");
    }

    @Test
    void ofFewNoneIsLeftOut() {
        List<IngredientMemory.Use> uses =
                List.of(use(1, Set.of(Behaviour.RICED)), use(2, Set.of()), use(3, Set.of(Behaviour.RICED)));
        assertThat(ShelfController.latest(uses)).isEqualTo(uses);
    }
}
