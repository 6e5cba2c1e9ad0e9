package io.causticon.core.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.diagnosis.knowledge.StandardKnowledge;
import java.util.List;
import org.junit.jupiter.api.Test;

class NetworkTest {

    private static final Condition DAMP = Condition.cosmetic("damp", "damp kiln");
    private static final Condition CRACKED = Condition.hazard("cracked", "cracked flue");
    private static final Finding HAZE = Finding.of("haze", Finding.Group.SURFACE, "haze", "no haze", "Look.", 1, 0);

    private static Network toy() {
        Knowledge.Builder k = Knowledge.builder();
        k.condition(DAMP).happensTo(.2);
        k.condition(CRACKED).happensTo(.1);
        k.finding(HAZE).happensAnyway(.05).points(.8).to(DAMP).because("steam condenses").points(.5).to(CRACKED).because("smoke");
        return new Network(k.build());
    }

    @Test
    void multipliesTheChancesThatEveryCauseFails() {
        // Sets in order: none 0.05, damp 1 - 0.95 x 0.2, both 1 - 0.95 x 0.2 x 0.5, cracked 1 - 0.95 x 0.5.
        assertThat(toy().probabilityPresent(0)).containsExactly(new double[] {0.05, 0.81, 0.905, 0.525}, within(1e-12));
    }

    @Test
    void givesThePosteriorOfBayesRule() {
        Belief belief = toy().prior(new double[] {.2, .1}).after(0, true);
        // Joint: none .72 x .05, damp .18 x .81, cracked .08 x .525, both .02 x .905; haze in all .036 + .1458 + .042 + .0181 = .2419.
        assertThat(belief.of(0)).isCloseTo((.1458 + .0181) / .2419, within(1e-12));
        assertThat(belief.of(1)).isCloseTo((.042 + .0181) / .2419, within(1e-12));
        assertThat(belief.anyHazard()).isCloseTo(belief.of(1), within(1e-12));
    }

    @Test
    void predictsAFindingAsTheMeanOfBothOutcomes() {
        Belief belief = toy().prior(new double[] {.2, .1});
        Belief.Outlook outlook = belief.outlook(0, 0);
        double mean = outlook.likely() * outlook.conditionIfFound() + (1 - outlook.likely()) * outlook.conditionIfNot();
        assertThat(mean).isCloseTo(belief.of(0), within(1e-12));
        assertThat(outlook.conditionIfFound()).isCloseTo(belief.after(0, true).of(0), within(1e-12));
        assertThat(outlook.hazardIfNot()).isCloseTo(belief.after(0, false).anyHazard(), within(1e-12));
    }

    @Test
    void anAbsentFindingNeverRaisesItsCause() {
        Belief belief = toy().prior(new double[] {.2, .1});
        assertThat(belief.after(0, false).of(0)).isLessThan(belief.of(0));
    }

    @Test
    void refusesALinkToAConditionWithoutARate() {
        Knowledge.Builder k = Knowledge.builder();
        k.finding(HAZE).happensAnyway(.1).points(.5).to(DAMP).because("steam");
        assertThatThrownBy(k::build).hasMessageContaining("damp kiln");
    }

    @Test
    void everyFindingOfTheKnowledgeCanFireAndHasAReason() {
        Knowledge knowledge = StandardKnowledge.all();
        assertThat(knowledge.findings()).containsExactlyInAnyOrderElementsOf(Findings.ALL);
        assertThat(knowledge.findings()).allSatisfy(f -> {
            assertThat(knowledge.leak(f)).as(f.id()).isBetween(0.001, 0.2);
            List<Link> links =
                    knowledge.links().stream().filter(l -> l.finding().equals(f)).toList();
            assertThat(links).as(f.id()).isNotEmpty().allMatch(l -> !l.reason().isBlank());
            assertThat(links).anyMatch(l -> l.strength() > 5 * knowledge.leak(f));
        });
    }

    @Test
    void wordsOfFindingsAreTheirOwn() {
        assertThat(Findings.vocabulary().keySet()).hasSizeGreaterThan(Findings.ALL.size());
        assertThat(Findings.ALL.stream().map(Finding::id).distinct()).hasSize(Findings.ALL.size());
    }
}
