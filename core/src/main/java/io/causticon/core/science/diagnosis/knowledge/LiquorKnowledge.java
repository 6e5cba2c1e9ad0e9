package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.BURNT_SMELL;
import static io.causticon.core.model.finding.Findings.CURDS;
import static io.causticon.core.model.finding.Findings.LIQUOR_ORANGE;
import static io.causticon.core.science.diagnosis.network.Conditions.SCORCHED;

import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.ScorchLimit;
import io.causticon.core.wording.Phrase;
import java.util.Optional;

/** What hot lye does to milk, sugar and protein. */
final class LiquorKnowledge implements Knowledge.Source {

    @Override
    public void tell(Knowledge.Builder k) {
        k.condition(SCORCHED)
                .happensTo(0.02)
                .isMetBy(
                        "Use it if it is otherwise sound: the smell goes within weeks, the colour stays.",
                        "Freeze the liquid, strong lye first, feed it by the spoon, keep it moving.");
        k.finding(LIQUOR_ORANGE)
                .happensAnyway(.02)
                .points(.90)
                .to(SCORCHED)
                .because("sugar and protein brown in hot lye");
        k.finding(BURNT_SMELL)
                .happensAnyway(.03)
                .points(.70)
                .to(SCORCHED)
                .because("protein gives off ammonia in hot lye");
        k.finding(CURDS).happensAnyway(.03).points(.35).to(SCORCHED).because("heat and lye clot the protein");
        Phrase from = Phrase.of(
                "milk browns from about {}, sugar alone from about {}", ScorchLimit.OF_MILK, ScorchLimit.OF_SUGAR);
        k.fact(LiquorKnowledge::passed).shifts(SCORCHED).by(14).because(from);
        k.fact(LiquorKnowledge::stayedBelow).shifts(SCORCHED).by(-8).because(from);
        k.fact("the liquid is clear water", f -> f.scorchingInLiquid().fraction() == 0)
                .shifts(SCORCHED)
                .by(-14)
                .because("nothing in it can scorch");
        k.fact("milk or sugar in the liquid, not frozen", f -> f.canScorch() && !f.liquidWasFrozen())
                .shifts(SCORCHED)
                .by(5)
                .because("ice would have held the heat down");
    }

    private static Optional<Phrase> passed(BatchFacts facts) {
        return facts.scorching()
                .filter(BatchFacts.Scorching::passed)
                .map(s -> Phrase.of("liquor reached {}, scorches from {}", s.peak(), s.limit()));
    }

    private static Optional<Phrase> stayedBelow(BatchFacts facts) {
        return facts.scorching()
                .filter(s -> !s.passed())
                .map(s -> Phrase.of("liquor logged up to {}, scorches from {}", s.peak(), s.limit()));
    }
}
