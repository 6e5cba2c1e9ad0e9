package io.causticon.core.science.forecast;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.substance.Fat;
import io.causticon.core.model.substance.FattyAcid.Family;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.cure.Schedule;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.formula.OxidationIndex;
import io.causticon.core.science.making.TraceKnowledge;
import io.causticon.core.science.making.WorkingTime;
import io.causticon.core.wording.Phrase;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.function.ToDoubleFunction;

/**
 * How batter and bar will be, in words with reasons. From the chemistry of soaps: those of short saturated acids
 * dissolve and foam at once, those of long saturated acids are hard and hold a lather, oleic soaps are mild and slow,
 * ricinoleic soap helps others dissolve and clings. The limits between words are judgement; nothing here is a mark out
 * of ten, as no bar is best at everything.
 */
public final class BarCharacter {

    private static final double QUICK = 8;
    private static final double SLOW = 20;
    private static final double HARD = 0.44;
    private static final double FIRM = 0.32;
    private static final double DISSOLVES = 0.26;
    private static final double STAYS = 0.12;
    private static final double TACKY = 0.075;
    private static final double RUBBERY = 0.17;
    private static final double MOSTLY_OLEIC = 0.66;

    private final BatchPlan plan;
    private final TraceKnowledge trace;
    private final Formula formula;
    private final Composition composition;

    private BarCharacter(BatchPlan plan, TraceKnowledge trace) {
        this.plan = plan;
        this.trace = trace;
        this.formula = plan.formula();
        this.composition = Composition.of(formula.fats());
    }

    /** By what is known before any batch of the workshop. */
    public static List<Trait> of(BatchPlan plan) {
        return of(plan, TraceKnowledge.PRIOR);
    }

    /** @param trace how batters come to trace in this workshop */
    public static List<Trait> of(BatchPlan plan, TraceKnowledge trace) {
        BarCharacter c = new BarCharacter(plan, trace);
        return List.of(c.setting(), c.firmness(), c.dissolving(), c.lather(), c.staleness(), c.tack(), c.rubberiness());
    }

    private Trait setting() {
        WorkingTime time = WorkingTime.forecast(plan, trace);
        String how = time.minutes() < QUICK ? "quick" : time.minutes() > SLOW ? "slow" : "middling";
        String strongest = time.reasons().isEmpty()
                ? "nothing in particular"
                : time.reasons().get(0).words();
        return new Trait(
                "batter",
                Phrase.of(
                        "{}: light trace in {} min, {} to {}",
                        how,
                        time.minutes(),
                        time.band().low(),
                        time.band().high()),
                Phrase.of("most of all {}", strongest),
                Phrase.of("cooler, wetter, more oleic: slower"));
    }

    private Trait firmness() {
        double saturated = composition.saturated().fraction();
        String how = saturated >= HARD
                ? "hard"
                : saturated >= FIRM
                        ? "firm"
                        : of(Family.MONO_UNSATURATED) > MOSTLY_OLEIC ? "soft at first, hard after months" : "soft";
        return new Trait(
                "firmness",
                Phrase.of(
                        "lets go after about {} h; {} after cure",
                        (double) Schedule.of(plan).unmould().toHours(),
                        how),
                Phrase.of(
                        "{} of the acids are saturated, most from {}",
                        Share.fraction(saturated),
                        most(f -> f.shareOf(Family.LONG_SATURATED).fraction() + shortSaturated(f))),
                Phrase.of("more of a hard fat, stronger lye or gel: firmer"));
    }

    private Trait dissolving() {
        double quick = of(Family.SHORT_SATURATED);
        String how = quick > DISSOLVES ? "goes fast in use" : quick < STAYS ? "lasts" : "middling";
        return new Trait(
                "in use",
                Phrase.of(how),
                Phrase.of(
                        "{} short acids make soap that dissolves, {} long ones hold it back",
                        Share.fraction(quick),
                        composition.of(Family.LONG_SATURATED)),
                Phrase.of("less {}: lasts longer", most(BarCharacter::shortSaturated)));
    }

    private Trait lather() {
        double quick = of(Family.SHORT_SATURATED) + of(Family.RICINOLEIC);
        double lasting = of(Family.LONG_SATURATED) + 0.5 * of(Family.RICINOLEIC);
        double creamy = of(Family.LONG_SATURATED) + 0.5 * of(Family.MONO_UNSATURATED);
        return new Trait(
                "lather",
                Phrase.of(
                        "quick {}, lasting {}, creamy {}",
                        amount(quick, 0.12, 0.24),
                        amount(lasting, 0.14, 0.26),
                        amount(creamy, 0.30, 0.45)),
                Phrase.of(
                        "quick bubbles come from {}, body from {}",
                        most(f ->
                                shortSaturated(f) + f.shareOf(Family.RICINOLEIC).fraction()),
                        most(f -> f.shareOf(Family.LONG_SATURATED).fraction())),
                Phrase.of("hard water takes lather from any of them; a chelator gives it back"));
    }

    private Trait staleness() {
        OxidationIndex s = OxidationIndex.of(formula);
        boolean guarded = OxidationIndex.isGuarded(formula.additives());
        double index = guarded ? s.index() / 2 : s.index();
        String how = index > OxidationIndex.SPOTS_WITHIN_THE_YEAR
                ? "use within the year"
                : index < OxidationIndex.KEEPS_TWO_YEARS ? "keeps two years" : "keeps a year and more";
        return new Trait(
                "keeping",
                Phrase.of(how),
                Phrase.of(
                        "{} linoleic, {} linolenic, most from {}",
                        s.linoleic(),
                        s.linolenic(),
                        most(OxidationIndex::indexOfFat)),
                Phrase.of(
                        guarded
                                ? "an antioxidant or chelator is in it"
                                : "less superfat, an antioxidant, fresher lots: longer"));
    }

    private Trait tack() {
        double tack = of(Family.RICINOLEIC) + 0.25 * Math.max(0, of(Family.POLY_UNSATURATED) - 0.10);
        return new Trait(
                "touch",
                Phrase.of(tack > TACKY ? "clings when wet" : "dry"),
                Phrase.of(
                        "{} ricinoleic, {} polyunsaturated",
                        composition.of(Family.RICINOLEIC),
                        composition.of(Family.POLY_UNSATURATED)),
                Phrase.of("castor below a twentieth: drier"));
    }

    private Trait rubberiness() {
        double water = AlkaliBalance.of(formula).waterPerLye();
        double rubber = of(Family.RICINOLEIC) * water;
        boolean slimy = of(Family.MONO_UNSATURATED) > MOSTLY_OLEIC;
        return new Trait(
                "body",
                Phrase.of(rubber > RUBBERY ? "rubbery" : slimy ? "a gel-like skin when wet" : "short and clean"),
                slimy && rubber <= RUBBERY
                        ? Phrase.of("{} oleic acid: its soap swells in water", composition.of(Family.MONO_UNSATURATED))
                        : Phrase.of(
                                "{} ricinoleic with {} water to one of lye",
                                composition.of(Family.RICINOLEIC),
                                String.format(Locale.ROOT, "%.1f", water)),
                Phrase.of(slimy ? "some hard fat: less" : "less castor or less water: less"));
    }

    private double of(Family family) {
        return composition.of(family).fraction();
    }

    private static double shortSaturated(Fat fat) {
        return fat.shareOf(Family.SHORT_SATURATED).fraction();
    }

    private static String amount(double value, double some, double much) {
        return value >= much ? "rich" : value >= some ? "good" : "modest";
    }

    /** The fat that brings most of something. */
    private String most(ToDoubleFunction<Fat> of) {
        return formula.fats().stream()
                .max(Comparator.comparingDouble((FatPortion p) -> p.mass().grams() * of.applyAsDouble(p.fat())))
                .map(p -> p.fat().shortName().toLowerCase(Locale.ROOT))
                .orElse("none");
    }
}
