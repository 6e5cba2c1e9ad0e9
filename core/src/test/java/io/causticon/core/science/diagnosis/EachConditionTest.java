package io.causticon.core.science.diagnosis;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.quantity.Estimate;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Belief;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.network.FactShift;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.diagnosis.network.Link;
import io.causticon.core.science.diagnosis.network.Network;
import io.causticon.core.science.diagnosis.network.SuperfatLevels;
import io.causticon.core.science.diagnosis.network.Weight;
import java.util.Comparator;
import java.util.List;
import java.util.Random;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Knowledge that can never speak is as good as none: each condition can lead, can be ruled out, and stays open while
 * nobody looks.
 */
class EachConditionTest {

    private static final Knowledge ALL = StandardKnowledge.all();
    private static final Network NETWORK = new Network(ALL);
    private static final int TELLING = 3;

    static Stream<Condition> conditions() {
        return ALL.conditions().stream();
    }

    /** Its findings, the most telling first. */
    private static List<Link> links(Condition condition) {
        return ALL.links().stream()
                .filter(l -> l.condition().equals(condition))
                .sorted(Comparator.comparingDouble((Link l) -> l.strength() / ALL.leak(l.finding()))
                        .reversed())
                .toList();
    }

    /**
     * Of a batch of which everything is known that speaks for one condition before anybody looks; its superfat is
     * planned at 3 %.
     */
    private static Belief prior(Condition likely) {
        double facts = ALL.shifts().stream()
                .filter(s -> s.condition().equals(likely) && s.weight() > 0)
                .mapToDouble(FactShift::weight)
                .max()
                .orElse(0);
        double[] rates = ALL.conditions().stream()
                .mapToDouble(c -> Weight.probability(
                        Weight.odds(ALL.rate(c)) * (c.equals(likely) ? new Weight(facts).factor() : 1)))
                .toArray();
        return NETWORK.prior(rates, SuperfatLevels.of(new Estimate(.03, .02)));
    }

    private static Belief after(Belief belief, Link link, boolean there) {
        return belief.after(NETWORK.indexOf(link.finding()), there);
    }

    @ParameterizedTest
    @MethodSource("conditions")
    void leadsWhenItsMostTellingFindingsAreThere(Condition condition) {
        Belief belief = prior(condition);
        for (Link link : links(condition).stream().limit(TELLING).toList()) {
            belief = after(belief, link, true);
        }
        int c = ALL.conditions().indexOf(condition);
        assertThat(belief.of(c)).isGreaterThan(Diagnosis.LEADS_FROM);
    }

    @ParameterizedTest
    @MethodSource("conditions")
    void isRuledOutWhenNoneOfItsFindingsIsThere(Condition condition) {
        Belief belief = prior(condition);
        int c = ALL.conditions().indexOf(condition);
        double before = belief.of(c);
        for (Link link : links(condition)) {
            belief = after(belief, link, false);
        }
        assertThat(belief.of(c)).isLessThan(before / 3).isLessThan(.1);
    }

    @ParameterizedTest
    @MethodSource("conditions")
    void staysOpenWhileItsKeyFindingIsNotLookedAt(Condition condition) {
        Belief belief = prior(condition);
        int c = ALL.conditions().indexOf(condition);
        double before = belief.of(c);
        for (Link link : links(condition).stream().skip(1).limit(1).toList()) {
            belief = after(belief, link, true);
        }
        assertThat(belief.of(c)).isBetween(before / 1.5, .999);
    }

    @ParameterizedTest
    @MethodSource("conditions")
    void tellsWhatToDoAndWhatToChange(Condition condition) {
        assertThat(ALL.remedy(condition).now()).isNotBlank().endsWith(".");
        assertThat(ALL.remedy(condition).nextTime()).isNotBlank().endsWith(".");
    }

    @Test
    void thereAreEnoughOfThem() {
        assertThat(ALL.conditions()).hasSizeGreaterThanOrEqualTo(45).doesNotHaveDuplicates();
        assertThat(ALL.conditions().stream().map(Condition::id)).doesNotHaveDuplicates();
        assertThat(ALL.conditions().stream().map(Condition::name)).doesNotHaveDuplicates();
        assertThat(ALL.findings()).hasSizeGreaterThanOrEqualTo(100);
    }

    @Test
    void tenThingsThatAreNotThereDoNotClearTooMuchAlkali() {
        Belief belief = prior(Conditions.LYE_HEAVY);
        double before = belief.of(ALL.conditions().indexOf(Conditions.LYE_HEAVY));
        for (String look : List.of(
                "dew",
                "small-dots",
                "glassy-veins",
                "colour-specks",
                "pinholes",
                "drag-lines",
                "browned",
                "weak-scent",
                "warped",
                "few-bubbles")) {
            belief = belief.after(NETWORK.indexOf(Findings.named(look)), false);
        }
        assertThat(belief.of(ALL.conditions().indexOf(Conditions.LYE_HEAVY))).isGreaterThan(before * .9);
    }

    @Test
    void aSignOfAHazardNeverLowersTheHazard() {
        List<Finding> signs = List.of(
                Findings.WASH_BURNS,
                Findings.ZAP,
                Findings.SKIN_TIGHT,
                Findings.WEEPING_DOTS,
                Findings.WHITE_SPOTS,
                Findings.STRIP_HIGH,
                Findings.OIL_LAYER,
                Findings.CRUST_GROWS,
                Findings.CRUST_RESISTS);
        Random random = new Random(3);
        for (int n = 0; n < 300; n++) {
            Belief belief = prior(Conditions.SODA_ASH);
            for (Finding finding : ALL.findings()) {
                int said = random.nextInt(12);
                if (said < 2 && !signs.contains(finding)) {
                    belief = belief.after(NETWORK.indexOf(finding), said == 0);
                }
            }
            Finding sign = signs.get(random.nextInt(signs.size()));
            assertThat(belief.after(NETWORK.indexOf(sign), true).anyHazard())
                    .as(sign.id())
                    .isGreaterThanOrEqualTo(belief.anyHazard() - 1e-12);
        }
    }
}
