package io.causticon.core.science.diagnosis.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

class NetworkTest {

    private static final Condition DAMP = Condition.cosmetic("damp", "damp kiln");
    private static final Condition CRACKED = Condition.hazard("cracked", "cracked flue");
    private static final Finding HAZE = Finding.of("haze", Finding.Group.SURFACE, "haze", "no haze", "Look.", 1, 0);
    private static final double[] NO_SUPERFAT = {};

    private static Belief toy() {
        Knowledge.Builder k = Knowledge.builder();
        k.condition(DAMP).happensTo(.2);
        k.condition(CRACKED).happensTo(.1);
        k.finding(HAZE)
                .happensAnyway(.05)
                .points(.8)
                .to(DAMP)
                .because("steam condenses")
                .points(.5)
                .to(CRACKED)
                .because("smoke");
        return new Network(k.build()).prior(new double[] {.2, .1}, NO_SUPERFAT);
    }

    @Test
    void givesThePosteriorOfBayesRule() {
        Belief belief = toy().after(0, true);
        // Haze in: none .05, damp 1 - .95 x .2 = .81, cracked 1 - .95 x .5 = .525, both 1 - .95 x .2 x .5 = .905.
        // Joint: none .72 x .05, damp .18 x .81, cracked .08 x .525, both .02 x .905; haze in all .036 + .1458 + .042 +
        // .0181 = .2419.
        assertThat(belief.of(0)).isCloseTo((.1458 + .0181) / .2419, within(1e-12));
        assertThat(belief.of(1)).isCloseTo((.042 + .0181) / .2419, within(1e-12));
        assertThat(belief.anyHazard()).isCloseTo(belief.of(1), within(1e-12));
    }

    @Test
    void predictsAFindingAsTheMeanOfBothOutcomes() {
        Belief belief = toy();
        Belief.Outlook outlook = belief.outlook(0, 0);
        double mean = outlook.likely() * outlook.conditionIfFound() + (1 - outlook.likely()) * outlook.conditionIfNot();
        assertThat(outlook.likely()).isCloseTo(.2419, within(1e-12));
        assertThat(mean).isCloseTo(belief.of(0), within(1e-12));
        assertThat(outlook.conditionIfFound()).isCloseTo(belief.after(0, true).of(0), within(1e-12));
        assertThat(outlook.hazardIfNot()).isCloseTo(belief.after(0, false).anyHazard(), within(1e-12));
    }

    @Test
    void anAbsentFindingNeverRaisesItsCause() {
        assertThat(toy().after(0, false).of(0)).isLessThan(toy().of(0));
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
            List<Link> links = knowledge.links().stream()
                    .filter(l -> l.finding().equals(f))
                    .toList();
            assertThat(links).as(f.id()).isNotEmpty().allMatch(l -> !l.reason().isBlank());
            assertThat(links).anyMatch(l -> l.strength() > 5 * knowledge.leak(f));
        });
    }

    @Test
    void wordsOfFindingsAreTheirOwn() {
        assertThat(Findings.vocabulary().keySet()).hasSizeGreaterThan(Findings.ALL.size());
        assertThat(Findings.ALL.stream().map(Finding::id).distinct()).hasSize(Findings.ALL.size());
    }

    /** A made-up network and what was looked at in it; weighed by going through every set of conditions there is. */
    private static final class Drawn {

        private final List<Condition> conditions = new ArrayList<>();
        private final List<Finding> findings = new ArrayList<>();
        private final Knowledge.Builder knowledge = Knowledge.builder();
        private final double[] rate;
        private final double[][] strength;
        private final double[] leak;
        private final double[][] absent;
        private final double[] prior;
        private final List<int[]> excluding = new ArrayList<>();
        private final List<int[]> containing = new ArrayList<>();
        private final List<int[]> causing = new ArrayList<>();
        private static final double CAUSES = .6;

        Drawn(Random random, int conditionCount, int findingCount, int mostLinks, boolean related) {
            rate = random.doubles(conditionCount, .001, .4).toArray();
            leak = random.doubles(findingCount, .001, .2).toArray();
            strength = new double[findingCount][conditionCount];
            for (int c = 0; c < conditionCount; c++) {
                boolean hazard = random.nextInt(3) == 0;
                conditions.add(
                        hazard
                                ? Condition.hazard("c" + c, "condition " + c)
                                : Condition.cosmetic("c" + c, "condition " + c));
                knowledge.condition(conditions.get(c)).happensTo(rate[c]);
            }
            for (int f = 0; f < findingCount; f++) {
                findings.add(
                        Finding.of("f" + f, Finding.Group.SURFACE, "finding " + f, "no finding " + f, "Look.", 1, 0));
                knowledge.finding(findings.get(f)).happensAnyway(leak[f]);
            }
            for (int c = 0; c < conditionCount; c++) {
                for (int f : random.ints(1 + random.nextInt(mostLinks), 0, findingCount)
                        .distinct()
                        .toArray()) {
                    strength[f][c] = .05 + .9 * random.nextDouble();
                    knowledge
                            .finding(findings.get(f))
                            .points(strength[f][c])
                            .to(conditions.get(c))
                            .because("of chance");
                }
            }
            if (related) {
                relate(0, 1, excluding);
                relate(2, 3, containing);
                relate(4, 5, causing);
                relate(4, 6, causing);
            }
            absent = absent();
            prior = IntStream.range(0, 1 << conditionCount)
                    .mapToDouble(this::prior)
                    .toArray();
        }

        private void relate(int first, int second, List<int[]> how) {
            how.add(new int[] {first, second});
            Knowledge.Builder.ConditionSentence of = knowledge.condition(conditions.get(first));
            if (how == excluding) {
                of.excludes(conditions.get(second));
            } else if (how == containing) {
                of.isAKindOf(conditions.get(second));
            } else {
                of.bringsAbout(conditions.get(second), CAUSES);
            }
        }

        Belief prior() {
            return new Network(knowledge.build()).prior(rate, NO_SUPERFAT);
        }

        private static boolean has(int set, int c) {
            return (set >> c & 1) == 1;
        }

        private double prior(int set) {
            double weight = 1;
            for (int[] pair : excluding) {
                weight *= has(set, pair[0]) && has(set, pair[1]) ? 0 : 1;
            }
            for (int[] pair : containing) {
                weight *= has(set, pair[0]) && !has(set, pair[1]) ? 0 : 1;
            }
            double[] fails = Arrays.stream(rate).map(r -> 1 - r).toArray();
            for (int[] pair : causing) {
                fails[pair[1]] *= has(set, pair[0]) ? 1 - CAUSES : 1;
            }
            for (int c = 0; c < rate.length; c++) {
                weight *= has(set, c) ? 1 - fails[c] : fails[c];
            }
            return weight;
        }

        /** The weight of each set of conditions with what was looked at: 1 seen, -1 not there, 0 not looked at. */
        double[] joint(int[] looked) {
            double[] joint = new double[1 << rate.length];
            for (int set = 0; set < joint.length; set++) {
                joint[set] = prior[set];
                for (int f = 0; f < looked.length; f++) {
                    joint[set] *= looked[f] == 0 ? 1 : looked[f] > 0 ? 1 - absent[f][set] : absent[f][set];
                }
            }
            return joint;
        }

        /** By finding and set: how often nothing brings it about. */
        private double[][] absent() {
            double[][] absent = new double[leak.length][1 << rate.length];
            for (int f = 0; f < leak.length; f++) {
                absent[f][0] = 1 - leak[f];
                for (int c = 0; c < rate.length; c++) {
                    for (int set = 0; set < 1 << c; set++) {
                        absent[f][set | 1 << c] = absent[f][set] * (1 - strength[f][c]);
                    }
                }
            }
            return absent;
        }

        double of(double[] joint, int condition) {
            double there = 0;
            for (int set = 0; set < joint.length; set++) {
                there += has(set, condition) ? joint[set] : 0;
            }
            return there / total(joint);
        }

        double anyHazard(double[] joint) {
            int hazards = IntStream.range(0, rate.length)
                    .filter(c -> conditions.get(c).hazard())
                    .map(c -> 1 << c)
                    .sum();
            double there = 0;
            for (int set = 0; set < joint.length; set++) {
                there += (set & hazards) != 0 ? joint[set] : 0;
            }
            return there / total(joint);
        }

        static double total(double[] joint) {
            return Arrays.stream(joint).sum();
        }
    }

    private static int[] looked(Random random, int findings) {
        return random.ints(findings, -1, 2).toArray();
    }

    private static Belief after(Belief prior, int[] looked) {
        Belief belief = prior;
        for (int f = 0; f < looked.length; f++) {
            belief = looked[f] == 0 ? belief : belief.after(f, looked[f] > 0);
        }
        return belief;
    }

    @Nested
    class AgainstGoingThroughEverySet {

        @Test
        void isExactForAnyNumberOfConditionsAtOnce() {
            Random random = new Random(41);
            for (int n = 0; n < 1000; n++) {
                Drawn drawn = new Drawn(random, 12, 20, 5, n % 2 == 0);
                int[] looked = looked(random, 20);
                Belief belief = after(drawn.prior(), looked);
                double[] joint = drawn.joint(looked);
                assertThat(belief.isBounded()).isFalse();
                for (int c = 0; c < 12; c++) {
                    assertThat(belief.of(c))
                            .as("network %d, condition %d", n, c)
                            .isCloseTo(drawn.of(joint, c), within(1e-9));
                }
                assertThat(belief.anyHazard()).as("network %d", n).isCloseTo(drawn.anyHazard(joint), within(1e-9));
                if (n % 5 == 0) {
                    looksAheadExactly(drawn, belief, looked, random);
                }
            }
        }

        private void looksAheadExactly(Drawn drawn, Belief belief, int[] looked, Random random) {
            int[] open = IntStream.range(0, looked.length)
                    .filter(f -> looked[f] == 0)
                    .toArray();
            if (open.length == 0) {
                return;
            }
            int finding = open[random.nextInt(open.length)];
            int condition = random.nextInt(12);
            Belief.Outlook outlook = belief.outlook(finding, condition);
            int[] found = looked.clone();
            found[finding] = 1;
            int[] not = looked.clone();
            not[finding] = -1;
            double[] jointFound = drawn.joint(found);
            double[] jointNot = drawn.joint(not);
            assertThat(outlook.likely())
                    .isCloseTo(Drawn.total(jointFound) / Drawn.total(drawn.joint(looked)), within(1e-9));
            assertThat(outlook.hazardIfFound()).isCloseTo(drawn.anyHazard(jointFound), within(1e-8));
            assertThat(outlook.hazardIfNot()).isCloseTo(drawn.anyHazard(jointNot), within(1e-8));
            assertThat(outlook.conditionIfFound()).isCloseTo(drawn.of(jointFound, condition), within(1e-8));
            assertThat(outlook.conditionIfNot()).isCloseTo(drawn.of(jointNot, condition), within(1e-8));
        }

        @Test
        void fourCosmeticConditionsDoNotHideAHazard() {
            // Each of four rare conditions is certain by a finding of its own; a fifth finding is the hazard's. Sets of
            // three at most would call it
            // impossible that all five are there.
            Knowledge.Builder k = Knowledge.builder();
            for (int c = 0; c < 4; c++) {
                Condition cosmetic = Condition.cosmetic("c" + c, "cosmetic " + c);
                k.condition(cosmetic).happensTo(.01);
                k.finding(Finding.of("f" + c, Finding.Group.SURFACE, "finding " + c, "none", "Look.", 1, 0))
                        .happensAnyway(1e-6)
                        .points(.9)
                        .to(cosmetic)
                        .because("of it");
            }
            k.condition(CRACKED).happensTo(.02);
            k.finding(HAZE).happensAnyway(.015).points(.88).to(CRACKED).because("smoke");
            Belief belief = new Network(k.build()).prior(new double[] {.01, .01, .01, .01, .02}, NO_SUPERFAT);
            for (int f = 0; f < 5; f++) {
                belief = belief.after(f, true);
            }
            // By itself: .02 x (1 - .985 x .12) / (.02 x (1 - .985 x .12) + .98 x .015).
            double burns = .02 * (1 - .985 * .12);
            assertThat(belief.anyHazard()).isCloseTo(burns / (burns + .98 * .015), within(1e-12));
        }

        @Test
        void whatIsVeryUnlikelyIsWeighedAsExactlyAsTheRest() {
            // Thirty findings that nobody would expect, by pairs: the weight of it all is below 1e-60.
            Random random = new Random(5);
            Knowledge.Builder k = Knowledge.builder();
            double[] rate = new double[31];
            for (int c = 0; c < 31; c++) {
                rate[c] = .002;
                k.condition(Condition.cosmetic("c" + c, "condition " + c)).happensTo(rate[c]);
            }
            for (int f = 0; f < 30; f++) {
                Finding finding = Finding.of("f" + f, Finding.Group.SURFACE, "finding " + f, "none", "Look.", 1, 0);
                k.finding(finding)
                        .happensAnyway(.001)
                        .points(.3 + .6 * random.nextDouble())
                        .to(Condition.cosmetic("c" + f, "condition " + f))
                        .because("of it")
                        .points(.3 + .6 * random.nextDouble())
                        .to(Condition.cosmetic("c" + (f + 1), "condition " + (f + 1)))
                        .because("of it");
            }
            Belief belief = new Network(k.build()).prior(rate, NO_SUPERFAT);
            for (int f = 0; f < 30; f++) {
                belief = belief.after(f, true);
            }
            Belief all = belief;
            assertThat(IntStream.range(0, 31).mapToDouble(all::of))
                    .allSatisfy(p -> assertThat(p).isBetween(0.0, 1.0));
            // Two neighbouring findings are explained by what they share: every finding has at least one of its two
            // causes, or happened anyway.
            assertThat(IntStream.range(0, 31).mapToDouble(all::of).sum()).isGreaterThan(15);
        }

        @Test
        void aKnotThatIsTooWideBoundsItsHazardsFromAbove() {
            Random random = new Random(8);
            int bounded = 0;
            for (int n = 0; n < 4; n++) {
                // Each of fourteen conditions brings about nearly all of eighteen findings.
                Drawn drawn = new Drawn(random, 14, 18, 60, false);
                int[] looked = IntStream.range(0, 18).map(f -> 1).toArray();
                Belief belief = after(drawn.prior(), looked);
                double[] joint = drawn.joint(looked);
                bounded += belief.isBounded() ? 1 : 0;
                assertThat(belief.anyHazard()).isGreaterThanOrEqualTo(drawn.anyHazard(joint) - 1e-9);
                for (int c = 0; c < 14; c++) {
                    if (drawn.conditions.get(c).hazard()) {
                        assertThat(belief.of(c)).isGreaterThanOrEqualTo(drawn.of(joint, c) - 1e-9);
                    }
                }
            }
            assertThat(bounded).isPositive();
        }
    }
}
