package io.causticon.core.science.diagnosis;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import java.util.Set;
import org.junit.jupiter.api.Test;

/** What looked like this before. */
class LikenessTest {

    private static final Diagnostician JUDGE = Cases.DIAGNOSTICIAN;

    private static double surprise(Finding finding) {
        return -Math.log(StandardKnowledge.all().leak(finding));
    }

    @Test
    void isOneForTheSameAndNothingWithoutACommonSign() {
        Set<Finding> crust = Set.of(Findings.THICK_CRUST, Findings.CRUST_GROWS);
        assertThat(JUDGE.likenessShare(crust, crust)).isEqualTo(1);
        assertThat(JUDGE.likenessShare(crust, Set.of(Findings.TUNNELS))).isZero();
        assertThat(JUDGE.likenessShare(Set.of(), Set.of())).isZero();
    }

    @Test
    void countsARareSignForMoreThanACommonOne() {
        Set<Finding> one = Set.of(Findings.THICK_CRUST, Findings.SKIN_TIGHT);
        double rare = JUDGE.likenessShare(one, Set.of(Findings.THICK_CRUST));
        double common = JUDGE.likenessShare(one, Set.of(Findings.SKIN_TIGHT));
        double all = surprise(Findings.THICK_CRUST) + surprise(Findings.SKIN_TIGHT);
        assertThat(rare).isGreaterThan(common).isCloseTo(surprise(Findings.THICK_CRUST) / all, within(1e-12));
        assertThat(rare + common).isCloseTo(1, within(1e-12));
        assertThat(JUDGE.likenessShare(Set.of(Findings.THICK_CRUST), one)).isEqualTo(rare);
    }

    @Test
    void whatIsSeenIsWhatWasThere() {
        Cases made = Cases.batch(recipe().fat("olive-oil", 500))
                .log("day 4 see bloom", "day 5 no white spots", "day 8 wash calm", "day 9 titrate 0.4");
        assertThat(JUDGE.seen(made.facts())).containsExactlyInAnyOrder(Findings.THIN_BLOOM, Findings.FREE_ALKALI);
    }
}
