package io.causticon.core.science.cure;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Interval;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.formula.BatterAmount;
import java.time.Duration;
import java.time.Instant;
import java.util.List;

/**
 * When a batch may be called ready: old enough for its kind, and dry. Whether it may be given away is the gate's to
 * say.
 *
 * @param cut from when on it dries
 * @param oldEnough the fixed minimum for its kind
 * @param drying how its bars dry
 */
public record Readiness(Instant cut, Instant oldEnough, Drying drying) {

    /** One weighing tells what a bar weighs, two how it dries. */
    private static final int TELLING = 2;

    private static final double USUAL_WIDTH = 65;
    private static final double USUAL_HEIGHT = 85;
    private static final double SECONDS_A_DAY = 86_400;

    /** @param plan as it was made */
    public static Readiness of(BatchPlan plan, BatchLog log) {
        Instant cut = log.first(Entry.Cut.class)
                .map(BatchLog.Timed::at)
                .orElseGet(() -> CureDates.of(plan, log).unmoulded());
        List<Drying.Weighing> weighings = log.of(Entry.BarWeighed.class)
                .filter(w -> !w.at().isBefore(cut))
                .map(w -> new Drying.Weighing(
                        days(cut, w.at()),
                        w.entry().mass().grams(),
                        Bars.label(w.entry().on())))
                .toList();
        return new Readiness(cut, CureDates.of(plan, log).oldEnough(), Drying.of(bar(plan, log), weighings));
    }

    private static DryingBar bar(BatchPlan plan, BatchLog log) {
        BatchFacts facts = BatchFacts.of(plan, log, Instant.MAX);
        Weights weights = facts.weightsNow();
        Share water =
                Share.fraction(weights.total().isPositive() ? weights.water().dividedBy(weights.total()) : 0);
        Temperature room = facts.room().orElse(Temperature.USUAL_ROOM);
        Double humidity = log.last(Entry.HumidityRead.class)
                .map(h -> h.entry().percent() / 100)
                .orElse(null);
        double faces = openFaces(log);
        Mould mould = plan.mould();
        double thick = plan.pouring().thickness();
        if (mould == null || mould.kind() == MouldKind.CUSTOM) {
            return new DryingBar(thick, USUAL_WIDTH, USUAL_HEIGHT, faces, water, room, humidity);
        }
        if (!mould.kind().isCut()) {
            return new DryingBar(mould.height(), mould.width(), mould.length(), faces, water, room, humidity);
        }
        BatterAmount batter = BatterAmount.of(plan.formula());
        double high = mould.kind() == MouldKind.TUBE
                ? mould.width()
                : Math.min(mould.height(), mould.fillHeight(batter.mass(), batter.density()));
        return new DryingBar(thick, mould.width(), Math.max(1, high), faces, water, room, humidity);
    }

    /**
     * How many faces stood open, the mean from when that was first said to the last weighing, which is what the
     * weighings tell of. Before any, as it was last said; all of them where nothing was said.
     */
    private static double openFaces(BatchLog log) {
        List<BatchLog.Timed<Entry.BarsStand>> said =
                log.of(Entry.BarsStand.class).toList();
        if (said.isEmpty()) {
            return DryingBar.ALL_FACES;
        }
        Instant from = said.get(0).at();
        Instant to = log.last(Entry.BarWeighed.class).map(BatchLog.Timed::at).orElse(from);
        if (!to.isAfter(from)) {
            return said.get(said.size() - 1).entry().how().openFaces();
        }
        double faceDays = 0;
        for (int i = 0; i < said.size() && said.get(i).at().isBefore(to); i++) {
            Instant until = i + 1 < said.size() && said.get(i + 1).at().isBefore(to)
                    ? said.get(i + 1).at()
                    : to;
            faceDays += said.get(i).entry().how().openFaces() * days(said.get(i).at(), until);
        }
        return faceDays / days(from, to);
    }

    private static double days(Instant from, Instant to) {
        return Duration.between(from, to).toSeconds() / SECONDS_A_DAY;
    }

    /**
     * Of a batch that is not begun: by its water, its mould and usual air; moments are told from an arbitrary
     * beginning.
     */
    public static Readiness expected(BatchPlan plan) {
        return of(plan, new BatchLog(Instant.EPOCH, List.of()));
    }

    /** Share of its fresh mass that a bar still has when it is ready, 0 to 1; in the middle. */
    public double readyMassShare() {
        return drying.massShareAt(Math.max(0, daysAt(ready())));
    }

    /** Whether its bars were weighed often enough to move a date. */
    public boolean isWeighed() {
        return drying.weighings() >= TELLING;
    }

    /** When its bars lose no more than is wanted, in the middle. */
    public Instant dry() {
        return after(drying.readyDay());
    }

    /** Both; the minimum alone while nobody weighs. */
    public Instant ready() {
        return isWeighed() && dry().isAfter(oldEnough) ? dry() : oldEnough;
    }

    /** The earliest and the latest of that, four times out of five. */
    public List<Instant> readyBand() {
        Interval days = drying.readyDays();
        return List.of(later(after(days.low())), later(after(days.high())));
    }

    private Instant later(Instant dry) {
        return dry.isAfter(oldEnough) ? dry : oldEnough;
    }

    /** Days since the cut. */
    public double daysAt(Instant at) {
        return days(cut, at);
    }

    private Instant after(double days) {
        return cut.plusSeconds(Math.round(days * SECONDS_A_DAY));
    }
}
