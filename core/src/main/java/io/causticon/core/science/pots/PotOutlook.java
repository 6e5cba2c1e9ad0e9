package io.causticon.core.science.pots;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * The lye pot of a batch at one moment: plan, what was fed and read so far, and where it is going.
 *
 * @param soFar the pot as its log tells of it
 * @param forecast with the readings taken in
 * @param fed portions that are in
 * @param portions in how many it is fed
 * @param state what the readings say of the dissolving
 * @param frozen part of the water that must be ice to stay below the limit (or calm, for clear water) when it is fed at
 *     once; empty if all of it is not enough
 * @param minutes over which to feed it in an ice bath to stay below the limit; empty without a limit or if forty are
 *     not enough
 * @param crystals temperature below which crystals come out of this liquor
 */
public record PotOutlook(
        PotSoFar soFar,
        PotForecast forecast,
        int fed,
        int portions,
        Levelling.State state,
        Optional<Share> frozen,
        OptionalDouble minutes,
        Temperature crystals) {

    /** A pot this hot spits and fumes. */
    public static final Temperature CALM = Temperature.celsius(60);

    /** A liquid that was frozen and reads more than this has begun to thaw. */
    private static final double THAWED = 4;

    /** Minutes after the feeding; by then it has turned. */
    static final double LOOK_AHEAD = 20;

    private static final double HORIZON_STEP = 5;

    /** g. */
    private static final double LEAST_LIQUOR = 1e-6;

    private static final int FEW_PORTIONS = 4;
    private static final int MANY_PORTIONS = 9;

    /**
     * @param plan the batch's
     * @param log the batch's
     * @param room of the room
     * @param now the moment to look from
     */
    public static PotOutlook of(BatchPlan plan, BatchLog log, Temperature room, Instant now) {
        PotSoFar soFar = PotSoFar.of(plan, log, room, now);
        LyePotSetup setup = soFar.setup();
        Optional<Temperature> limit = soFar.limit();
        Optional<Instant> from = soFar.fedFrom();
        List<PotForecast.Reading> readings =
                from.map(f -> readings(log, f, soFar.lastMinute(), now)).orElse(List.of());
        LyePot liquid = ColdPlan.frozen(setup.contents(), 0, plan.freezer());
        Optional<Share> frozen = ColdPlan.leastFrozen(liquid, plan.freezer(), limit.orElse(CALM));
        OptionalDouble minutes =
                limit.map(l -> ColdPlan.leastMinutes(setup.inBath(true), l)).orElse(OptionalDouble.empty());
        double sodium = soFar.weights().naoh().grams();
        return new PotOutlook(
                soFar,
                PotForecast.of(setup, horizon(soFar.minute(now)), readings),
                PotSoFar.lyePortions(log)
                        .mapToInt(p -> p.entry().portion())
                        .max()
                        .orElse(0),
                log.first(Entry.PortionFed.class)
                        .map(p -> p.entry().of())
                        .orElse(limit.isPresent() ? MANY_PORTIONS : FEW_PORTIONS),
                log.first(Entry.LyeClear.class).isPresent()
                        ? Levelling.State.TURNED
                        : Levelling.of(readings, lastFed(log, from)),
                frozen,
                minutes,
                Temperature.celsius(LyeSolution.crystallisationCelsius(
                        sodium / Math.max(LEAST_LIQUOR, sodium + liquid.water().grams()))));
    }

    /** How far to look: in steps, so that the same runs serve for some minutes. */
    private static double horizon(double minute) {
        return HORIZON_STEP * Math.ceil((minute + LOOK_AHEAD) / HORIZON_STEP);
    }

    LyePotSetup setup() {
        return soFar.setup();
    }

    /** The end temperature if no heat were lost at all. */
    public Temperature adiabaticPeak() {
        return setup().contents().adiabaticPeak();
    }

    /** What of the liquid goes in frozen; zero for none. */
    public Mass ice() {
        return setup().contents().ice();
    }

    /** The temperature that its liquid is taken to start from: the ice's where there is ice. */
    public Temperature start() {
        return ice().isPositive()
                ? setup().contents().iceStart()
                : setup().contents().waterStart();
    }

    /** Whether the jug stands in ice water now; where nothing was logged, as is usual for this liquor. */
    public boolean isInBath(Instant now) {
        return setup().isInBath(minute(now));
    }

    /** Above which this liquor scorches; empty for clear water. */
    public Optional<Temperature> limit() {
        return soFar.limit();
    }

    /** When the first lye went in; empty before. */
    public Optional<Instant> fedFrom() {
        return soFar.fedFrom();
    }

    /** What the liquid was read at before the lye; empty where it was not. */
    public Optional<Temperature> liquid() {
        return soFar.liquid();
    }

    /** Where it boils, C. */
    public double boilingCelsius() {
        return setup().contents().boilingCelsius();
    }

    /** What of the liquid is still frozen by the model, g; empty when nothing was. */
    public OptionalDouble stillFrozen(Instant now) {
        return ice().isPositive() ? OptionalDouble.of(run(now).iceGramsAt(minute(now))) : OptionalDouble.empty();
    }

    /** Lye in solution by the model, of itself and the liquid water. */
    public Share concentrationNow(Instant now) {
        return Share.fraction(run(now).concentrationAt(minute(now)));
    }

    /** How it was to go, by what is logged of the feeding and the bath but by no thermometer. */
    public LyePotCurve unread(double minutes) {
        return LyePotRun.run(setup(), minutes);
    }

    private LyePotCurve run(Instant now) {
        return LyePotRun.run(setup(), minute(now) + 1);
    }

    /** Readings of the lye from the first feeding on, as long as the pot is followed. */
    public List<PotForecast.Reading> readings(BatchLog log, Instant now) {
        return fedFrom().map(f -> readings(log, f, soFar.lastMinute(), now)).orElse(List.of());
    }

    private static List<PotForecast.Reading> readings(BatchLog log, Instant from, double lastMinute, Instant now) {
        return log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == MeasurementPoint.LYE && !t.at().isBefore(from) && !t.at().isAfter(now))
                .filter(t -> PotSoFar.minutes(from, t.at()) <= lastMinute)
                .map(t -> new PotForecast.Reading(
                        PotSoFar.minutes(from, t.at()), t.entry().temperature().celsius()))
                .toList();
    }

    /** Minutes since the first lye, as {@link PotSoFar#minute} counts them. */
    public double minute(Instant now) {
        return soFar.minute(now);
    }

    /**
     * What it would peak at if all that is to be frozen has thawed: where a reading before the lye says that it may
     * have.
     */
    public Optional<Temperature> peakIfThawed() {
        return liquid().filter(t -> ice().isPositive() && t.celsius() > THAWED && fed == 0)
                .map(t -> {
                    LyePot thawed = ColdPlan.frozen(
                            setup().contents(), 0, setup().contents().iceStart());
                    LyePotSetup same = new LyePotSetup(
                            thawed,
                            false,
                            setup().feedMinutes(),
                            setup().vessel(),
                            setup().vesselStart(),
                            setup().room(),
                            setup().baths(),
                            true);
                    return Temperature.celsius(LyePotRun.run(same, setup().feedMinutes() + LOOK_AHEAD)
                            .peakCelsius());
                });
    }

    private static double lastFed(BatchLog log, Optional<Instant> from) {
        return from.flatMap(f -> PotSoFar.lyePortions(log).reduce((a, b) -> b).map(p -> PotSoFar.minutes(f, p.at())))
                .orElse(0.0);
    }
}
