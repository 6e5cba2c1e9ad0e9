package io.causticon.core.science.making;

import static io.causticon.core.Recipes.recipe;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import io.causticon.core.model.log.Stage;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;

class LiveTraceTest {

    private static final Situation PLAIN = Situation.planned(
            recipe().fat("olive-oil", 600).fat("palm-oil", 400).plan());
    private static final Additive CLOVE = Catalogue.standard().additive("eo-clove");
    private static final Additive PEPPERMINT = Catalogue.standard().additive("eo-peppermint");

    private static LiveTrace at(double now, List<MixRecord.Addition> additions, MixRecord.Seen... seen) {
        return LiveTrace.of(TraceKnowledge.PRIOR, new MixRecord(PLAIN, Arrays.asList(seen), additions, null), now);
    }

    private static MixRecord.Seen seen(Stage stage, double minute) {
        return new MixRecord.Seen(stage, minute);
    }

    @Test
    void beforeAnythingIsSeenItIsTheForecast() {
        LiveTrace.Left left = at(0, List.of()).until(Stage.LIGHT);
        WorkingTime forecast = WorkingTime.forecast(PLAIN, TraceKnowledge.PRIOR);
        assertThat(left.median()).isCloseTo(forecast.minutes(), within(0.05 * forecast.minutes()));
        assertThat(left.band().high())
                .isCloseTo(forecast.band().high(), within(0.1 * forecast.band().high()));
    }

    @Test
    void anEarlyRungShortensWhatIsLeftAndNarrowsIt() {
        LiveTrace slow = at(6, List.of(), seen(Stage.EMULSION, 6));
        LiveTrace quick = at(6, List.of(), seen(Stage.EMULSION, 1.5), seen(Stage.THIN, 4));
        assertThat(quick.workable().median()).isLessThan(0.8 * slow.workable().median());
        LiveTrace untold = at(6, List.of());
        double told = quick.workable().band().high() / quick.workable().band().low();
        assertThat(told)
                .isLessThan(untold.workable().band().high()
                        / Math.max(0.1, untold.workable().band().low()));
    }

    @Test
    void timeThatPassesWithoutARungPushesItOut() {
        double at30 = 30 + at(30, List.of()).until(Stage.LIGHT).median();
        double at0 = at(0, List.of()).until(Stage.LIGHT).median();
        assertThat(at30).isGreaterThan(at0 + 12);
    }

    @Test
    void aMoverCutsWhatIsLeft() {
        List<MixRecord.Addition> clove = List.of(new MixRecord.Addition(CLOVE, null, 12));
        double without = at(12, List.of(), seen(Stage.LIGHT, 12)).workable().median();
        double with = at(12, clove, seen(Stage.LIGHT, 12)).workable().median();
        assertThat(with).isLessThan(0.5 * without);
    }

    @Test
    void aRungSoonAfterAnAdditionIsLaidToIt() {
        List<MixRecord.Addition> peppermint = List.of(new MixRecord.Addition(PEPPERMINT, "LV-2", 12.5));
        LiveTrace live = at(15, peppermint, seen(Stage.EMULSION, 4), seen(Stage.LIGHT, 12), seen(Stage.THICK, 14.5));
        LiveTrace.Attributed attributed = live.attributed().get(0);
        assertThat(attributed.factor()).isLessThan(0.8);
        assertThat(attributed.hurried()).isBetween(0.8, 0.99);
        assertThat(attributed.band().contains(attributed.factor())).isTrue();
        assertThat(live.workable().median()).isZero();
        assertThat(live.probabilityWithin(Stage.THICK, 1)).isEqualTo(1);
    }

    @Test
    void aBatterThatIsMashWithinAMinuteWasSeizedByWhatWentIn() {
        List<MixRecord.Addition> peppermint = List.of(new MixRecord.Addition(PEPPERMINT, null, 12.5));
        LiveTrace.Attributed attributed = at(14, peppermint, seen(Stage.LIGHT, 12), seen(Stage.MASH, 13.3))
                .attributed()
                .get(0);
        assertThat(attributed.factor()).isLessThan(0.35);
        assertThat(attributed.hurried()).isGreaterThan(0.85);
    }

    @Test
    void tapsThatNobodyExpectedDoNotBreakIt() {
        LiveTrace live = at(0.5, List.of(), seen(Stage.LIGHT, 0.4));
        assertThat(live.workable().median()).isBetween(0.0, 3.0);
        LiveTrace late = at(600, List.of(), seen(Stage.LIGHT, 600));
        assertThat(late.workable().median()).isBetween(100.0, 2000.0);
    }

    @Test
    void theBandHoldsWhatItSays() {
        // 400 batters drawn from the prior, their taps early or late by an eighth, two thirds with a fragrance at light
        // trace: looked at a few minutes later.
        Random random = new Random(9);
        TraceKnowledge.Known light = TraceKnowledge.PRIOR.logMinutes(PLAIN);
        int held = 0;
        int looked = 0;
        double off = 0;
        while (looked < 400) {
            double base = Math.exp(light.middle() + light.deviation() * random.nextGaussian());
            double emulsion = base * Math.exp(drawn(random, Stage.EMULSION));
            double spacing = random.nextGaussian();
            TraceKnowledge.Known thickKnown = TraceKnowledge.PRIOR.ladder(Stage.THICK);
            double thick = base * (1 + Math.exp(thickKnown.middle() + thickKnown.deviation() * spacing));
            List<MixRecord.Addition> additions = new ArrayList<>();
            double tappedLight = base * Math.exp(0.12 * random.nextGaussian());
            if (looked % 3 != 0) {
                double at = Math.max(base, tappedLight) * 1.02;
                TraceKnowledge.Known effect = TraceKnowledge.PRIOR.effect(PEPPERMINT, null);
                additions.add(new MixRecord.Addition(PEPPERMINT, null, at));
                thick = at
                        + Math.max(0.1, thick - at)
                                * Math.exp(effect.middle() + effect.deviation() * random.nextGaussian());
            }
            double now = Math.max(base, tappedLight) * 1.1;
            if (thick <= now || emulsion >= tappedLight) {
                continue;
            }
            looked++;
            LiveTrace live = LiveTrace.of(
                    TraceKnowledge.PRIOR,
                    new MixRecord(
                            PLAIN,
                            List.of(seen(Stage.EMULSION, emulsion), seen(Stage.LIGHT, tappedLight)),
                            additions,
                            null),
                    now);
            LiveTrace.Left left = live.workable();
            held += left.band().contains(thick - now) ? 1 : 0;
            off += Math.abs(Math.log(Math.max(0.2, left.median()) / (thick - now))) / 400;
        }
        assertThat(held / 400.0).as("held by the 80 % band").isBetween(0.72, 0.90);
        assertThat(off).as("mean log error").isLessThan(0.75);
    }

    private static double drawn(Random random, Stage stage) {
        TraceKnowledge.Known known = TraceKnowledge.PRIOR.ladder(stage);
        return known.middle() + known.deviation() * random.nextGaussian();
    }
}
