package io.causticon.core.science.diagnosis.evidence;

import static io.causticon.core.Recipes.recipe;
import static io.causticon.core.science.diagnosis.network.Conditions.LYE_HEAVY;
import static io.causticon.core.science.diagnosis.network.Conditions.LYE_POCKETS;
import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.science.diagnosis.Cases;
import io.causticon.core.science.diagnosis.Diagnosis;
import org.junit.jupiter.api.Test;

/** What was looked at on one bar counts for that bar. */
class SamplesTest {

    private static Cases made(String... lines) {
        return Cases.batch(recipe().fat("olive-oil", 500)
                        .fat("lard", 264)
                        .fat("coconut-oil-76", 236)
                        .purity(98))
                .weighedAsPlanned()
                .log("@+40m mash", "@+1h poured 50", "@+20h cut 12")
                .log(lines);
    }

    private static Evidence of(Cases made, Finding finding) {
        return made.diagnosis().evidence().stream()
                .filter(e -> e.finding().equals(finding))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void eachCleanBarClearsPocketsALittleMore() {
        double before = 1;
        for (String bars : new String[] {" on bar 2", " on bars 2, 4", " on bars 2, 4, 6", " on bars 1-6"}) {
            double now = made("day 8 no white spots" + bars).probabilityOf(LYE_POCKETS);
            assertThat(now).as(bars).isLessThan(before).isPositive();
            before = now;
        }
        // More of them are the same loaf again.
        assertThat(made("day 8 no white spots on bars 1-12").probabilityOf(LYE_POCKETS))
                .isEqualTo(before);
        assertThat(made("day 8 no white spots").probabilityOf(LYE_POCKETS))
                .isEqualTo(made("day 8 no white spots on bar 2").probabilityOf(LYE_POCKETS));
    }

    @Test
    void cleanBarsLowerWhatAnotherShowedAndDoNotRuleItOut() {
        Cases one = made("day 8 see white spots on bar 3");
        Cases other = made("day 8 see white spots on bar 3", "day 9 no white spots on bars 4, 5, 6");
        assertThat(of(other, Findings.WHITE_SPOTS).isPresent()).isTrue();
        assertThat(other.probabilityOf(LYE_POCKETS))
                .isLessThan(one.probabilityOf(LYE_POCKETS))
                .isGreaterThan(Diagnosis.NAMED_BELOW);
        // The bar that shows it is none of the others, however often it is looked at.
        assertThat(made("day 8 see white spots on bar 3", "day 9 no white spots on bar 3")
                        .probabilityOf(LYE_POCKETS))
                .isEqualTo(one.probabilityOf(LYE_POCKETS));
    }

    @Test
    void barsWithoutANumberDoNotAddUp() {
        assertThat(of(made("day 8 no white spots on 2 bars", "day 9 no white spots on 3 bars"), Findings.WHITE_SPOTS)
                        .bars())
                .isEqualTo(3);
        assertThat(of(
                                made("day 8 no white spots on bars 1, 2", "day 9 no white spots on bars 2, 3, 7"),
                                Findings.WHITE_SPOTS)
                        .bars())
                .isEqualTo(4);
        assertThat(of(made("day 8 no white spots", "day 9 no white spots"), Findings.WHITE_SPOTS)
                        .bars())
                .isEqualTo(1);
    }

    @Test
    void whatWasLookedAtTooEarlyCountsForNoBar() {
        double unlooked = made().probabilityOf(LYE_POCKETS);
        Cases early = made("@+6h no white spots on bars 1-6");
        assertThat(early.probabilityOf(LYE_POCKETS)).isEqualTo(unlooked);
        // It is told where it would have mattered, and nowhere else.
        assertThat(early.diagnosis().reports())
                .allSatisfy(r -> assertThat(r.ledger().lines().stream()
                                .anyMatch(l -> l.reason().pattern().startsWith("too early")))
                        .as(r.condition().id())
                        .isEqualTo(Cases.KNOWLEDGE
                                .reason(Findings.WHITE_SPOTS, r.condition())
                                .isPresent()));
        Cases both = made("@+6h no white spots on bars 1-6", "day 8 no white spots on bar 9");
        assertThat(of(both, Findings.WHITE_SPOTS).bars()).isEqualTo(1);
        assertThat(both.probabilityOf(LYE_POCKETS))
                .isEqualTo(made("day 8 no white spots on bar 9").probabilityOf(LYE_POCKETS));
    }

    @Test
    void threeBurnsAreMoreThanOne() {
        double one = made("day 8 wash burns on bar 1").probabilityOf(LYE_HEAVY);
        Cases three = made("day 8 wash burns on bar 1", "day 8 wash burns on bar 2", "day 8 wash burns on bar 3");
        assertThat(three.probabilityOf(LYE_HEAVY)).isGreaterThan(one);
        assertThat(of(three, Findings.BURNS_AGAIN).words()).isEqualTo("another wash burned as well");
        // The same bar, or the same wash told twice, is one.
        assertThat(made("day 8 wash burns on bar 1", "day 9 wash burns on bar 1")
                        .probabilityOf(LYE_HEAVY))
                .isEqualTo(one);
        assertThat(made("day 8 wash burns", "day 8 wash burns").probabilityOf(LYE_HEAVY))
                .isEqualTo(made("day 8 wash burns").probabilityOf(LYE_HEAVY));
        // Told on the next day without a bar, it is another.
        assertThat(made("day 8 wash burns", "day 9 wash burns").probabilityOf(LYE_HEAVY))
                .isGreaterThan(one);
    }

    @Test
    void anotherBarThatIsCalmSpeaksForTheFirstAndDoesNotClearIt() {
        Cases burned = made("day 8 wash burns on bar 1");
        Cases calm = made("day 8 wash burns on bar 1", "day 9 wash calm on bar 2");
        assertThat(calm.probabilityOf(LYE_HEAVY)).isLessThan(burned.probabilityOf(LYE_HEAVY));
        assertThat(of(calm, Findings.WASH_BURNS).isPresent()).isTrue();
        // Calm before it burned tells the same of that other bar; a second burn is not undone by a calm one.
        assertThat(made("day 8 wash burns on bar 1", "day 9 wash burns on bar 2", "day 10 wash calm on bar 3")
                        .probabilityOf(LYE_HEAVY))
                .isEqualTo(made("day 8 wash burns on bar 1", "day 9 wash burns on bar 2")
                        .probabilityOf(LYE_HEAVY));
        assertThat(calm.diagnosis().signStands()).isTrue();
    }
}
