package io.causticon.core.science.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.Recipes;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.science.diagnosis.evidence.Evidence;
import org.junit.jupiter.api.Test;

class HingesTest {

    private static Hinges hinges(String... lines) {
        Cases batch = Cases.batch(Recipes.recipe()
                        .fat("olive-oil", 700)
                        .fat("coconut-oil-76", 300)
                        .liquid("distilled-water", 100))
                .weighedAsPlanned()
                .log(lines);
        return Cases.DIAGNOSTICIAN
                .examineWithHinges(batch.facts(), KnownVessels.NONE)
                .hinges();
    }

    @Test
    void aHoldThatHangsOnOneBurnSaysSo() {
        assertThat(hinges("day 9 wash burns", "day 9 touch firm").restsOn())
                .extracting(Evidence::finding)
                .containsExactly(Findings.WASH_BURNS);
    }

    @Test
    void aHoldThatManySignsSpeakForHangsOnNone() {
        assertThat(hinges("day 9 wash burns", "day 9 titrated 0.6", "day 9 see crust grows", "day 9 see zap")
                        .restsOn())
                .isEmpty();
    }

    @Test
    void nothingThatWasSeenHangsOnNothing() {
        assertThat(hinges()).isEqualTo(Hinges.NONE);
    }

    @Test
    void whatNothingExplainsIsNamedWithWhatItGoesLeastWith() {
        // A tongue that stings and a titration that finds nothing: one of them was made on another thing.
        Hinges hinges = hinges(
                "day 9 titrated 0", "day 9 wash calm", "day 9 see zap", "day 9 no weeping", "day 9 no white spots");
        assertThat(hinges.odd()).extracting(o -> o.finding().finding()).contains(Findings.ZAP);
        assertThat(hinges.odd().get(0).with().isPresent()).isFalse();
    }

    @Test
    void findingsThatGoTogetherAreNotOdd() {
        assertThat(hinges("day 3 see bloom", "day 4 no resists steam", "day 9 wash calm")
                        .odd())
                .isEmpty();
    }

    @Test
    void nothingIsSaidOfAHeapOfFindings() {
        assertThat(hinges(Findings.ALL.stream()
                        .map(f -> "day 100 see " + f.words())
                        .toArray(String[]::new)))
                .isEqualTo(Hinges.NONE);
    }
}
