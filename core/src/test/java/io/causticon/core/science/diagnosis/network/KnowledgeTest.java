package io.causticon.core.science.diagnosis.network;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.WorkshopCounts.Count;
import java.util.Map;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.Arguments;
import org.junit.jupiter.params.provider.MethodSource;

/**
 * Knowledge that is not whole is told when the program starts, by its name; a workshop's counts sharpen what is whole.
 */
class KnowledgeTest {

    private static final Condition DAMP = Condition.cosmetic("damp", "damp kiln");
    private static final Condition FLUE = Condition.hazard("flue", "cracked flue");
    private static final Finding HAZE = Finding.of("haze", Finding.Group.SURFACE, "Haze", "no haze", "Look.", 1, 0)
            .called("mist");
    private static final Finding SOOT = Finding.of("soot", Finding.Group.SURFACE, "soot", "no soot", "Look.", 1, 0)
            .called("dust");
    private static final Finding FOG = Finding.of("fog", Finding.Group.SURFACE, "fog", "no fog", "Look.", 1, 0)
            .called("mist");

    private static void whole(Knowledge.Builder k) {
        k.condition(DAMP).happensTo(.2);
        k.condition(FLUE).happensTo(.1);
        k.finding(HAZE).happensAnyway(.05).points(.8).to(DAMP).because("steam condenses");
    }

    private static Arguments fault(String told, Consumer<Knowledge.Builder> wrong) {
        return Arguments.of(told, wrong);
    }

    static Stream<Arguments> faults() {
        return Stream.of(
                fault(
                        "a sentence about soot points to no condition: because of smoke",
                        k -> k.finding(SOOT).happensAnyway(.1).points(.5).because("of smoke")),
                fault(
                        "a sentence about soot does not say why",
                        k -> k.finding(SOOT).happensAnyway(.1).points(.5).to(FLUE)),
                fault(
                        "how often soot happens anyway is not told",
                        k -> k.finding(SOOT).points(.5).to(FLUE).because("smoke")),
                fault(
                        "how often haze happens anyway is told twice",
                        k -> k.finding(HAZE).happensAnyway(.1)),
                fault(
                        "haze and damp kiln are told of twice",
                        k -> k.finding(HAZE).points(.3).to(DAMP).because("again")),
                fault(
                        "haze and cracked flue cannot belong together in 1.2",
                        k -> k.finding(HAZE).points(1.2).to(FLUE).because("smoke")),
                fault(
                        "the rate of damp kiln is told twice",
                        k -> k.condition(DAMP).happensTo(.3)),
                fault(
                        "no rate for a draught",
                        k -> k.finding(HAZE)
                                .points(.3)
                                .to(Condition.cosmetic("draught", "a draught"))
                                .because("wind")),
                fault(
                        "a draught cannot happen to 0.0",
                        k -> k.condition(Condition.cosmetic("draught", "a draught"))
                                .happensTo(0)),
                fault(
                        "a fact shifts no condition: because cold",
                        k -> k.fact("a cold day", f -> true).by(3).because("cold")),
                fault(
                        "no rate for a draught, which a fact shifts",
                        k -> k.fact("a cold day", f -> true)
                                .shifts(Condition.cosmetic("draught", "a draught"))
                                .by(3)
                                .because("cold")),
                fault(
                        "a sentence about damp does not say why",
                        k -> k.fact("a cold day", f -> true).shifts(DAMP).by(3)),
                fault("\u201cmist\u201d means haze and fog", k -> k.finding(FOG).happensAnyway(.1)));
    }

    @ParameterizedTest
    @MethodSource("faults")
    void isRefusedWithTheNameOfWhatIsNotWhole(String told, Consumer<Knowledge.Builder> wrong) {
        assertThatThrownBy(() -> {
                    Knowledge.Builder k = Knowledge.builder();
                    whole(k);
                    wrong.accept(k);
                    k.build();
                })
                .isInstanceOf(IllegalStateException.class)
                .hasMessageContaining(told);
    }

    @Test
    void isSharpenedByWhatAWorkshopHasCounted() {
        Knowledge.Builder k = Knowledge.builder();
        whole(k);
        Knowledge known = k.build();
        Knowledge own = known.with(new WorkshopCounts(
                Map.of("damp", new Count(1, 60), "flue", new Count(0, 60)),
                Map.of("haze", new Count(12, 60)),
                Map.of(new WorkshopCounts.Pair("haze", "damp"), new Count(2, 10))));
        // (0.2 x 40 + 1) / 100 and (0.05 x 40 + 12) / 100.
        assertThat(own.rate(DAMP)).isCloseTo(.09, within(1e-12));
        assertThat(own.leak(HAZE)).isCloseTo(.14, within(1e-12));
        // Sixty lucky batches do not make a hazard less likely; six of sixty make it likelier.
        assertThat(own.rate(FLUE)).isEqualTo(.1);
        assertThat(known.with(new WorkshopCounts(Map.of("flue", new Count(18, 60)), Map.of(), Map.of()))
                        .rate(FLUE))
                .isCloseTo(.22, within(1e-12));
        // (0.8 x 40 + 2) / 50.
        assertThat(own.links()).extracting(Link::strength).containsExactly(.68);
        assertThat(known.rate(DAMP)).as("what was known stays as it was").isEqualTo(.2);
    }

    @Test
    void withoutCountsIsWhatItWas() {
        Knowledge all = StandardKnowledge.all();
        Knowledge same = all.with(WorkshopCounts.NONE);
        assertThat(same.conditions()).isEqualTo(all.conditions());
        assertThat(same.findings()).isEqualTo(all.findings());
        assertThat(same.conditions()).allSatisfy(c -> assertThat(same.rate(c)).isEqualTo(all.rate(c)));
        assertThat(same.conditions()).allSatisfy(c -> assertThat(same.remedy(c)).isEqualTo(all.remedy(c)));
    }
}
