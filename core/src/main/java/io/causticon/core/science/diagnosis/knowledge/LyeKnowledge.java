package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.CLINGS;
import static io.causticon.core.model.finding.Findings.DENTS;
import static io.causticon.core.model.finding.Findings.TACKY;

import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Conditions;
import io.causticon.core.science.diagnosis.network.Knowledge;

/** Which alkali, and how strong it was. */
final class LyeKnowledge implements Knowledge.Source {

    private static final Condition WEAK_ALKALI = Condition.cosmetic("weak-alkali", "weak or old alkali");

    @Override
    public void tell(Knowledge.Builder k) {
        wrongAlkali(k);
        weakAlkali(k);
    }

    private static void wrongAlkali(Knowledge.Builder k) {
        k.condition(Conditions.WRONG_ALKALI)
                .happensTo(.002)
                .isMetBy(
                        "Potash soap never hardens: keep it as a soft soap or a paste, tested as such. Look into the"
                                + " tubs.",
                        "One tub of lye on the bench at a time; weigh from the labelled one.");
        k.finding("never-hard")
                .happensAnyway(.012)
                .points(.85)
                .to(Conditions.WRONG_ALKALI)
                .because("potassium soap stays soft");
        k.finding(TACKY).points(.55).to(Conditions.WRONG_ALKALI).because("it draws water");
        k.finding("damp-softens")
                .points(.45)
                .to(Conditions.WRONG_ALKALI)
                .because("potassium soap draws water out of the air");
        k.finding(DENTS).points(.70).to(Conditions.WRONG_ALKALI).because("it does not set hard");
        k.finding(CLINGS).points(.50).to(Conditions.WRONG_ALKALI).because("it does not let go");
    }

    private static void weakAlkali(Knowledge.Builder k) {
        k.condition(WEAK_ALKALI)
                .happensTo(.012)
                .isMetBy(
                        "It is fatty and mild: cure it longer and use it up soon.",
                        "Keep lye dry and tight; a caked tub counts for less than its label.");
        k.finding("lye-caked")
                .happensAnyway(.01)
                .points(.75)
                .to(WEAK_ALKALI)
                .because("it has taken up water and carbonate");
        k.finding("lye-cloudy")
                .happensAnyway(.03)
                .points(.45)
                .to(WEAK_ALKALI)
                .because("carbonate does not dissolve in strong lye");
        k.finding(DENTS).points(.45).to(WEAK_ALKALI).because("part of the fat found no alkali");
        k.finding("oily").happensAnyway(.02).points(.60).to(WEAK_ALKALI).because("part of the fat found no alkali");
        k.finding("thin-late").points(.45).to(WEAK_ALKALI).because("less alkali reacts slower");
        k.finding("water-pearls").points(.35).to(WEAK_ALKALI).because("fat that found no alkali sheds water");
        k.finding("never-hard").points(.30).to(WEAK_ALKALI).because("fat stays fat");
    }
}
