package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.CLINGS;
import static io.causticon.core.model.finding.Findings.DENTS;
import static io.causticon.core.model.finding.Findings.SOFT_BELOW;
import static io.causticon.core.model.finding.Findings.TACKY;
import static io.causticon.core.science.diagnosis.network.Conditions.SOFT;

import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.science.diagnosis.network.Knowledge;

/** What the hand says of a bar. */
final class FeelKnowledge implements Knowledge.Source {

    private static final int YOUNG_DAYS = 4;
    private static final double MUCH_CASTOR = 0.10;
    private static final double MUCH_POLY = 0.20;

    @Override
    public void tell(Knowledge.Builder k) {
        k.condition(SOFT)
                .happensTo(0.05)
                .isMetBy(
                        "Wait, freeze it an hour to free it from the mould, cure it longer.",
                        "Less water, less castor and soft oils, a lower superfat, salt or sodium lactate.");
        k.finding(DENTS).happensAnyway(.04).points(.85).to(SOFT).because("it has not set through");
        k.finding(TACKY).happensAnyway(.03).points(.65).to(SOFT).because("soft acids and water stay at the surface");
        k.finding(CLINGS).happensAnyway(.05).points(.60).to(SOFT).because("it is too soft to let go");
        k.finding(SOFT_BELOW).points(.30).to(SOFT).because("the skin sets before the heart");
        k.fact("younger than four days", f -> f.age().toDays() < YOUNG_DAYS)
                .shifts(SOFT)
                .by(5)
                .because("young soap is soft");
        k.fact(Facts::muchSuperfat).shifts(SOFT).by(7).because("fat that found no alkali stays fat");
        k.fact(Facts::weakLye).shifts(SOFT).by(3).because("water must leave first");
        k.fact(f -> Facts.atLeast(f, Family.RICINOLEIC, MUCH_CASTOR, "castor's acid"))
                .shifts(SOFT)
                .by(4)
                .because("it draws water and is tacky");
        k.fact(f -> Facts.atLeast(f, Family.POLY_UNSATURATED, MUCH_POLY, "poly-unsaturated acids"))
                .shifts(SOFT)
                .by(3)
                .because("their soaps are soft");
    }
}
