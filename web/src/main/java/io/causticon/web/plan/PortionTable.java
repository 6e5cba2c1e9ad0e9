package io.causticon.web.plan;

import io.causticon.core.formula.AdditivePortion;
import io.causticon.core.formula.BatchPlan;
import io.causticon.core.formula.LiquidPortion;
import io.causticon.core.formula.PortionAmounts;
import io.causticon.core.formula.Portioning;
import io.causticon.core.formula.Portions;
import io.causticon.core.formula.Vessel;
import io.causticon.core.mould.Mould;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
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
        this.portions = plan.pouring().portioning().portions().isEmpty() ? Optional.empty() : Optional.of(Portions.of(plan));
    }

    @Nullable FaceLayout face() {
        Mould mould = plan.mould();
        return mould == null || plan.pouring().portioning().way() != Portioning.Way.LAYERS || portions.isEmpty()
                ? null
                : FaceLayout.of(mould, plan.pouring().portioning().portions());
    }

    @Nullable Drawing bar() {
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
                formats.percent(a.superfat(), 1) + ", lye " + formats.percent(a.concentration(), 1),
                a.superfat().fraction() < 0);
    }

    /** The bowl's own mass, when it stays on the scale. */
    private Mass bowl() {
        Vessel bowl = plan.pouring().portioning().bowl();
        return bowl == null ? Mass.ZERO : bowl.mass();
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
}
