package io.causticon.web.places.plan;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.Jug;
import io.causticon.core.science.formula.PortionAmounts;
import io.causticon.core.science.formula.Portions;
import io.causticon.web.shared.Drawing;
import io.causticon.web.shared.Formats;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.Function;
import org.jspecify.annotations.Nullable;

/** Layers, colours or cups of a plan, worded and drawn. Empty for an undivided batch. */
final class PortionTable {

    private final BatchPlan plan;
    private final Formats formats;
    private final Optional<Portions> portions;

    PortionTable(BatchPlan plan, Formats formats) {
        this.plan = plan;
        this.formats = formats;
        this.portions =
                plan.pouring().portioning().portions().isEmpty() ? Optional.empty() : Optional.of(Portions.of(plan));
    }

    @Nullable
    FaceLayout face() {
        Mould mould = plan.mould();
        return mould == null || plan.pouring().portioning().way() != Portioning.Way.LAYERS || portions.isEmpty()
                ? null
                : FaceLayout.of(mould, plan.pouring().portioning().portions());
    }

    @Nullable
    Drawing bar() {
        return plan.pouring().portioning().way() == Portioning.Way.LAYERS
                ? null
                : portions.map(p -> PlanDrawings.shares(p.amounts())).orElse(null);
    }

    List<Reckoning.PortionWords> words() {
        List<Reckoning.PortionWords> words = new ArrayList<>();
        portions.ifPresent(p -> p.amounts().forEach(a -> words.add(words(a, words.size()))));
        return words;
    }

    private Reckoning.PortionWords words(PortionAmounts a, int number) {
        return new Reckoning.PortionWords(
                number % 6,
                a.portion().name(),
                formats.percent(a.share(), 1),
                formats.mass(a.batter()),
                formats.mass(a.bowlAfter().plus(bowl())),
                formats.mass(a.weights().fatMass()),
                formats.mass(a.weights().lye()),
                own(a),
                strength(a.superfat(), a.concentration()),
                a.superfat().fraction() < 0);
    }

    /** Jug by jug; empty for one batter. */
    List<Reckoning.JugWords> jugs() {
        List<Reckoning.JugWords> words = new ArrayList<>();
        Jug.of(plan).forEach(j -> words.add(words(j, words.size() % 6)));
        return words;
    }

    private Reckoning.JugWords words(Jug j, int number) {
        boolean own = plan.pouring().portioning().route() == Portioning.LyeRoute.OWN;
        List<String> lye = new ArrayList<>();
        if (own) {
            lye.addAll(alkalis(j));
            j.liquids().forEach(l -> lye.add(formats.mass(l.mass()) + " " + l.words()));
        } else {
            lye.add(formats.mass(j.solution()) + " of the lye");
        }
        j.lyeAdditives()
                .forEach(
                        a -> lye.add(formats.mass(a.mass()) + " " + a.additive().name()));
        return new Reckoning.JugWords(
                number,
                j.portion().name(),
                formats.mass(j.fats()),
                formats.mass(j.fatsAfter().plus(mass(plan.fatsVessel()))),
                lye,
                own ? "" : formats.mass(j.solutionAfter().plus(mass(plan.lyeVessel()))),
                j.fatAdditives().stream()
                        .map(a -> formats.mass(a.mass()) + " " + a.additive().name())
                        .toList(),
                j.later().stream()
                        .map(a -> formats.mass(a.mass()) + " " + a.name())
                        .toList(),
                strength(j.superfat(), j.concentration()));
    }

    private List<String> alkalis(Jug j) {
        List<String> alkalis = new ArrayList<>();
        if (j.naoh().isPositive()) {
            alkalis.add(formats.mass(j.naoh()) + " NaOH");
        }
        if (j.koh().isPositive()) {
            alkalis.add(formats.mass(j.koh()) + " KOH");
        }
        return alkalis;
    }

    private static Mass mass(@Nullable Vessel vessel) {
        return vessel == null ? Mass.ZERO : vessel.mass();
    }

    /** The bowl's own mass, when it stays on the scale. */
    private Mass bowl() {
        Vessel bowl = plan.pouring().portioning().bowl();
        return mass(bowl);
    }

    private String own(PortionAmounts a) {
        List<String> words = new ArrayList<>();
        for (AdditivePortion p : a.additives()) {
            words.add(formats.mass(p.mass()) + " " + p.additive().name());
        }
        for (LiquidPortion p : a.liquids()) {
            words.add(formats.mass(p.mass()) + " " + p.liquid().name());
        }
        return String.join(", ", words);
    }

    Reckoning.@Nullable PortionSum sum() {
        return portions.map(p -> new Reckoning.PortionSum(
                        formats.percent(
                                p.amounts().stream()
                                        .map(PortionAmounts::share)
                                        .reduce((a, b) -> Share.fraction(a.fraction() + b.fraction()))
                                        .orElseThrow(),
                                1),
                        formats.mass(sum(p, PortionAmounts::batter)),
                        formats.mass(sum(p, a -> a.weights().fatMass())),
                        formats.mass(sum(p, a -> a.weights().lye())),
                        formats.mass(p.stuck())))
                .orElse(null);
    }

    private static Mass sum(Portions portions, Function<PortionAmounts, Mass> of) {
        return portions.amounts().stream().map(of).reduce(Mass.ZERO, Mass::plus);
    }

    /** Each number keeps its sign where the column is narrow. */
    private String strength(Share superfat, Share concentration) {
        return together(formats.percent(superfat, 1)) + ", " + together("lye " + formats.percent(concentration, 1));
    }

    private static String together(String words) {
        return words.replace(' ', '\u00a0');
    }
}
