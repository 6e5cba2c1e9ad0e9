package io.causticon.core.model.mould;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.mould.CutPlan.Embed;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** Where the wire goes. */
class CutPlanTest {

    @Test
    void isTheUsualOneWhereNothingIsToBeMissed() {
        CutPlan plan = CutPlan.of(240, 25, List.of());
        // As the plan has it: nine of 25 mm, and the same trimmed at both ends.
        assertThat(plan.bars()).isEqualTo(9);
        assertThat(plan.thickness()).isEqualTo(25, within(1e-9));
        assertThat(plan.cuts().get(0)).isEqualTo(7.5, within(0.26));
        assertThat(CutPlan.of(250, 25, List.of()).thickness()).isEqualTo(25, within(1e-9));
        assertThat(CutPlan.of(12, 25, List.of()).bars()).isEqualTo(1);
    }

    @Test
    void missesEmbedsWhereThatCanBe() {
        // One every 30 mm: bars of 25 would cut every other one.
        List<Embed> embeds = List.of(
                new Embed(20, 10), new Embed(49, 10), new Embed(78, 10), new Embed(107, 10), new Embed(136, 10));
        CutPlan plan = CutPlan.of(160, 27, embeds);
        assertThat(plan.nearest()).isGreaterThan(1);
        for (Embed e : embeds) {
            assertThat(plan.cuts()).noneMatch(c -> Math.abs(c - e.at()) < 5);
        }
    }

    @Test
    void saysWhenOneIsCut() {
        CutPlan plan = CutPlan.of(100, 20, List.of(new Embed(50, 60)));
        assertThat(plan.nearest()).isLessThan(0);
    }

    @Test
    void neverLeavesTheLoaf() {
        Random random = new Random(4);
        for (int i = 0; i < 300; i++) {
            double along = 20 + 500 * random.nextDouble();
            double wanted = 5 + 60 * random.nextDouble();
            List<Embed> embeds = new ArrayList<>();
            for (int e = random.nextInt(6); e > 0; e--) {
                embeds.add(new Embed(along * random.nextDouble(), 15 * random.nextDouble()));
            }
            CutPlan plan = CutPlan.of(along, wanted, embeds);
            assertThat(plan.cuts().get(0)).isGreaterThanOrEqualTo(-1e-9);
            assertThat(plan.cuts().get(plan.bars())).isLessThanOrEqualTo(along + 1e-6);
            assertThat(plan.bars()).isGreaterThanOrEqualTo(1);
            assertThat(plan.thickness())
                    .isBetween(Math.min(along, wanted * (1 - CutPlan.BY)) - 1e-9, wanted * (1 + CutPlan.BY) + 1e-9);
            assertThat(plan.centres()).hasSize(plan.cuts().size() - 1);
        }
    }
}
