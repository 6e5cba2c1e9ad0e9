package io.causticon.core.science.diagnosis.knowledge;

import static io.causticon.core.model.finding.Findings.CRUST_GROWS;
import static io.causticon.core.model.finding.Findings.CRUST_RESISTS;
import static io.causticon.core.model.finding.Findings.THICK_CRUST;
import static io.causticon.core.model.finding.Findings.THIN_BLOOM;
import static io.causticon.core.science.diagnosis.network.Conditions.SODA_ASH;

import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.science.diagnosis.network.Knowledge;

/** What the air makes of a surface. */
final class SurfaceKnowledge implements Knowledge.Source {

    @Override
    public void tell(Knowledge.Builder k) {
        k.condition(SODA_ASH)
                .happensTo(0.25)
                .isMetBy(
                        "Steam it, plane it, or leave it: it is washing soda, a look and no harm.",
                        "Cover it at once, spray with alcohol, let it gel, or use less water.");
        k.finding(THIN_BLOOM).points(.85).to(SODA_ASH).because("free alkali at the skin of a fresh loaf meets air");
        k.finding(THICK_CRUST).points(.12).to(SODA_ASH).because("bloom can be thick after a cool, wet pour");
        k.finding(CRUST_GROWS).points(.04).to(SODA_ASH).because("bloom may go on for a few days");
        k.finding(CRUST_RESISTS).points(.06).to(SODA_ASH).because("old bloom bakes on now and then");
        k.finding("crust-wipes").happensAnyway(.06).points(.80).to(SODA_ASH).because("carbonate dissolves in water");
        k.finding("bloom-early")
                .happensAnyway(.05)
                .points(.85)
                .to(SODA_ASH)
                .because("it ends when the alkali at the skin is used up");
        facts(k);
    }

    private static void facts(Knowledge.Builder k) {
        k.fact("no gel", f -> f.gel().map(g -> g == GelExtent.NONE).orElse(false))
                .shifts(SODA_ASH)
                .by(3)
                .because("alkali stays free longer at the surface");
        k.fact(
                        "gel went all through",
                        f -> f.gel().map(g -> g == GelExtent.FULL).orElse(false))
                .shifts(SODA_ASH)
                .by(-4)
                .because("gel uses up the alkali within hours");
        k.fact("covered", f -> f.was(MouldCare.COVERED) || f.was(MouldCare.INSULATED))
                .shifts(SODA_ASH)
                .by(-3)
                .because("no air over the surface");
        k.fact("sprayed with alcohol", f -> f.was(MouldCare.SPRAYED))
                .shifts(SODA_ASH)
                .by(-2)
                .because("it shuts out air while the skin forms");
        k.fact(Facts::soapedCool).shifts(SODA_ASH).by(2).because("a cool pour stays raw longer");
        k.fact(Facts::weakLye).shifts(SODA_ASH).by(2).because("water carries alkali to the surface");
    }
}
