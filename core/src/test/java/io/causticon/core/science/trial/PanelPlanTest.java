package io.causticon.core.science.trial;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.Duration;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

/** When arms are to be judged. */
class PanelPlanTest {

    private static final Instant CUT = Instant.parse("2026-03-01T09:00:00Z");

    private static Instant day(double days) {
        return CUT.plus(Duration.ofMinutes((long) (days * 1440)));
    }

    @Test
    void whatWasCutTogetherSitsTogetherAtThreeAges() {
        Map<String, Instant> cuts = Map.of("water", CUT, "cream", CUT.plus(Duration.ofMinutes(5)));
        List<PanelPlan> panels = PanelPlan.of(cuts, Map.of(), day(1));
        assertThat(panels).extracting(PanelPlan::age).containsExactly(PanelAge.FRESH, PanelAge.CURED, PanelAge.AGED);
        assertThat(panels).allSatisfy(p -> assertThat(p.arms()).containsExactly("water", "cream"));
        assertThat(panels.get(0).state()).isEqualTo(PanelPlan.State.COMES);
        assertThat(PanelPlan.of(cuts, Map.of(), day(2)).get(0).state()).isEqualTo(PanelPlan.State.OPEN);
        assertThat(PanelPlan.of(cuts, Map.of(), day(9)).get(0).state()).isEqualTo(PanelPlan.State.MISSED);
        assertThat(PanelPlan.of(cuts, Map.of("48 h", Set.of("water", "cream")), day(9))
                        .get(0)
                        .state())
                .isEqualTo(PanelPlan.State.JUDGED);
        // One of them alone is no panel yet.
        assertThat(PanelPlan.of(cuts, Map.of("48 h", Set.of("water")), day(3))
                        .get(0)
                        .isDue())
                .isTrue();
    }

    /**
     * Nine soaps, one a week: fresh each is alone; cured, some are of one age; old, nearly all. Whoever sits then is of
     * the panel's age, whatever his cut.
     */
    @Test
    void whatWasMadeOverTwoMonthsSitsWithItsEquals() {
        Map<String, Instant> cuts = new LinkedHashMap<>();
        for (int i = 0; i < 9; i++) {
            cuts.put("fat " + i, day(7.3 * i));
        }
        List<PanelPlan> panels = PanelPlan.of(cuts, Map.of(), CUT);
        Map<PanelAge, List<PanelPlan>> byAge = panels.stream().collect(Collectors.groupingBy(PanelPlan::age));
        assertThat(byAge.get(PanelAge.FRESH)).hasSize(9);
        assertThat(byAge.get(PanelAge.CURED)).hasSizeBetween(3, 5);
        assertThat(byAge.get(PanelAge.AGED)).hasSizeBetween(1, 2);
        for (PanelPlan panel : panels) {
            for (String arm : panel.arms()) {
                assertThat(PanelAge.of(Duration.between(cuts.get(arm), panel.due())))
                        .as(panel + " " + arm)
                        .contains(panel.age());
                assertThat(PanelAge.of(Duration.between(cuts.get(arm), panel.closes())))
                        .as(panel + " " + arm)
                        .contains(panel.age());
            }
        }
        byAge.values()
                .forEach(of -> assertThat(of.stream().flatMap(p -> p.arms().stream()))
                        .hasSize(9)
                        .doesNotHaveDuplicates());
        assertThat(PanelPlan.of(Map.of(), Map.of(), CUT)).isEmpty();
    }
}
