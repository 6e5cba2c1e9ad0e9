package io.causticon.core.diagnosis.knowledge;

import static io.causticon.core.diagnosis.Conditions.SCORCHED;
import static io.causticon.core.diagnosis.Findings.BURNT_SMELL;
import static io.causticon.core.diagnosis.Findings.CURDS;
import static io.causticon.core.diagnosis.Findings.LIQUOR_ORANGE;

import io.causticon.core.diagnosis.Knowledge;
import io.causticon.core.observation.BatchFacts;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.wording.Phrase;
import java.util.Optional;

/** What hot lye does to milk, sugar and protein. */
final class LiquorKnowledge implements Knowledge.Source {

    /** Milk sugar and protein brown in strong alkali from about 40 C (Maillard and alkaline degradation of lactose). */
    private static final double SCORCHES_ABOVE = 40;

    private static final double NOTABLE = 0.01;

    @Override
    public void tell(Knowledge.Builder k) {
        k.condition(SCORCHED)
                .happensTo(0.02)
                .isMetBy(
                        "Use it if it is otherwise sound: the smell goes within weeks, the colour stays.",
                        "Freeze the liquid, strong lye first, feed it by the spoon, keep it moving.");
        k.finding(LIQUOR_ORANGE).happensAnyway(.02).points(.90).to(SCORCHED).because("sugar and protein brown in hot lye");
        k.finding(BURNT_SMELL).happensAnyway(.03).points(.70).to(SCORCHED).because("protein gives off ammonia in hot lye");
        k.finding(CURDS).happensAnyway(.03).points(.35).to(SCORCHED).because("heat and lye clot the protein");
        k.fact(LiquorKnowledge::passed)
                .shifts(SCORCHED)
                .by(14)
                .because(Phrase.of("milk and sugar brown above about {}", Temperature.celsius(SCORCHES_ABOVE)));
        k.fact(LiquorKnowledge::stayedBelow)
                .shifts(SCORCHED)
                .by(-8)
                .because(Phrase.of("below about {} little browns", Temperature.celsius(SCORCHES_ABOVE)));
        k.fact("the liquid is clear water", f -> f.scorchingInLiquid().fraction() == 0)
                .shifts(SCORCHED)
                .by(-14)
                .because("nothing in it can scorch");
        k.fact(
                        "milk or sugar in the liquid, not frozen",
                        f -> f.scorchingInLiquid().fraction() > NOTABLE && !f.liquidWasFrozen())
                .shifts(SCORCHED)
                .by(5)
                .because("ice would have held the heat down");
    }

    private static Optional<Phrase> passed(BatchFacts facts) {
        return peakOfScorching(facts)
                .filter(t -> t > SCORCHES_ABOVE)
                .map(t -> Phrase.of("liquor reached {}", Temperature.celsius(t)));
    }

    private static Optional<Phrase> stayedBelow(BatchFacts facts) {
        return peakOfScorching(facts)
                .filter(t -> t <= SCORCHES_ABOVE)
                .map(t -> Phrase.of("liquor logged up to {}", Temperature.celsius(t)));
    }

    private static Optional<Double> peakOfScorching(BatchFacts facts) {
        return facts.lyePeak()
                .filter(t -> facts.scorchingInLiquid().fraction() > NOTABLE)
                .map(t -> t.celsius());
    }
}
