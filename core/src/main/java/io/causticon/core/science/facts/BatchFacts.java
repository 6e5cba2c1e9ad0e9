package io.causticon.core.science.facts;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.GelExtent;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Purpose;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.formula.Composition;
import io.causticon.core.science.formula.Portions;
import io.causticon.core.science.formula.ScorchLimit;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * What follows from plan and log together: the facts that shift what a batch is likely to have. What was not logged is
 * absent here, never assumed.
 */
public final class BatchFacts {

    private static final Duration BEGINNING_OF_THE_SET = Duration.ofHours(2);

    /**
     * Before these nearly every soap is caustic, and a test tells of its age: at 20 C and without gel 97 % has reacted
     * after a day, 99 after two.
     */
    private static final Duration SKIN = Duration.ofHours(48);

    private static final Duration SKIN_WHEN_COOKED = Duration.ofDays(1);
    private static final Duration MEASURED = Duration.ofDays(1);

    private final BatchPlan plan;
    private final BatchLog log;
    private final Instant now;

    /** Worked out when it is first asked for: many questions are about dates alone. */
    private @Nullable AsWeighed asWeighed;

    private final String part;

    private BatchFacts(BatchPlan plan, BatchLog log, Instant now, String part) {
        this.plan = plan;
        this.log = log;
        this.now = now;
        this.part = part;
    }

    public static BatchFacts of(BatchPlan plan, BatchLog log, Instant now) {
        return new BatchFacts(plan, log, now, "");
    }

    /**
     * Names of the parts that had lye of their own, each measured or poured by itself; empty where all was one batter.
     */
    public List<String> parts() {
        Portioning portioning = plan.pouring().portioning();
        return portioning.route() == Portioning.LyeRoute.TOGETHER
                ? List.of()
                : portioning.portions().stream().map(p -> p.name().trim()).toList();
    }

    /**
     * What is known of one part with lye of its own: what was seen of another one says nothing of it. What was seen on
     * bars of which nobody said of which part they were is of every part where bars are cut across all of them, and
     * where they are not, only what speaks against the batch is.
     */
    public BatchFacts ofPart(String name) {
        boolean across = isCutAcrossParts();
        List<LoggedEntry> lines = log.all().stream()
                .filter(l -> concerns(l.entry(), name, across))
                .toList();
        return new BatchFacts(plan, new BatchLog(log.begun(), lines, log.substances()), now, name);
    }

    /** Which part this is of; empty for the whole batch. */
    public String part() {
        return part;
    }

    /** Whether a bar holds some of every part: layers, and colours that were poured into one block. */
    public boolean isCutAcrossParts() {
        Portioning.Way way = plan.pouring().portioning().way();
        boolean block = plan.mould() != null && plan.mould().kind().isCut();
        return way == Portioning.Way.LAYERS || way == Portioning.Way.SHARES && block;
    }

    private static boolean concerns(Entry entry, String part, boolean across) {
        Bars on = entry.on();
        if (on != null && on.portion() != null) {
            return on.portion().isCalled(part);
        }
        return across || !isCalmTest(entry);
    }

    private static boolean isCalmTest(Entry entry) {
        return entry instanceof Entry.WashTested w && w.feel() == WashFeel.CALM
                || entry instanceof Entry.Titrated
                || entry instanceof Entry.PhRead
                || entry instanceof Entry.Observed o && o.presence() == Presence.LOOKED_AND_ABSENT;
    }

    /**
     * How much fatter or leaner than the whole a part was planned to be, a fraction: by liquids and additives of its
     * own. Nothing for the whole batch.
     */
    public double superfatOfPartBeside() {
        if (part.isEmpty()) {
            return 0;
        }
        double whole = Superfat.distribution(
                        Weights.planned(plan.formula()), plan.formula().alkali(), plan.scales())
                .value();
        return Portions.of(plan).amounts().stream()
                .filter(a -> a.portion().name().trim().equals(part))
                .mapToDouble(a -> a.superfat().fraction() - whole)
                .findFirst()
                .orElse(0);
    }

    /** Its share of everything, 0 to 1; all of it for the whole batch. */
    public double shareOfPart() {
        return part.isEmpty()
                ? 1
                : Portions.of(plan).amounts().stream()
                        .filter(a -> a.portion().name().trim().equals(part))
                        .mapToDouble(a -> a.share().fraction())
                        .findFirst()
                        .orElse(1);
    }

    public BatchPlan plan() {
        return plan;
    }

    public BatchLog log() {
        return log;
    }

    public AsWeighed asWeighed() {
        AsWeighed known = asWeighed;
        if (known == null) {
            known = AsWeighed.of(plan, log);
            asWeighed = known;
        }
        return known;
    }

    /** When something first left the pot: a portion, a layer or all of it; empty while all is in it. */
    public Optional<Instant> firstTakenOut() {
        return log.entries().stream()
                .filter(e -> e.entry() instanceof Entry.Poured
                        || e.entry() instanceof Entry.LayerPoured
                        || e.entry() instanceof Entry.PortionTaken)
                .map(LoggedEntry::at)
                .findFirst();
    }

    /** When it was melted down the last time; empty if it never was. */
    public Optional<Instant> rebatchedAt() {
        return log.last(Entry.Rebatched.class).map(BatchLog.Timed::at);
    }

    /** The same batch as it was in the moment before it was melted down the last time; empty if it never was. */
    public Optional<BatchFacts> beforeRebatch() {
        return rebatchedAt().map(at -> {
            List<LoggedEntry> before =
                    log.entries().stream().takeWhile(e -> e.at().isBefore(at)).toList();
            return new BatchFacts(plan, new BatchLog(log.begun(), before, log.substances()), at, part);
        });
    }

    /** As weighed, with the fats of every rebatch. */
    public Weights weightsNow() {
        List<FatPortion> fats = new ArrayList<>(asWeighed().weights().fats());
        log.of(Entry.Rebatched.class).forEach(r -> {
            Weighable fat = r.entry().fat();
            Mass mass = r.entry().mass();
            if (fat != null && mass != null) {
                log.substances().findFat(fat.id()).ifPresent(f -> fats.add(new FatPortion(f, mass)));
            }
        });
        return asWeighed().weights().withFats(fats);
    }

    /** The moment that everything is looked at. */
    public Instant now() {
        return now;
    }

    /**
     * When soap began to form: lye met the fats. From then on its age counts, and whatever is tested of it; a batch may
     * have been begun, and its fats weighed, days before. The last time where several parts had lye of their own; the
     * pour where nobody logged the lye, and for scraps, which brought theirs with them; the last time that it was
     * melted down where it was. Empty while there is no soap.
     */
    public Optional<Instant> soapSince() {
        return rebatchedAt().or(this::firstSoapSince);
    }

    /** The same before it was ever melted down. */
    public Optional<Instant> firstSoapSince() {
        return lyeIn().or(() -> log.first(Entry.Poured.class).map(BatchLog.Timed::at));
    }

    private Optional<Instant> lyeIn() {
        return plan.isRework()
                ? Optional.empty()
                : log.last(Entry.LyeIntoFats.class).map(BatchLog.Timed::at);
    }

    /** Its age as soap; nothing while there is none. */
    public Duration age() {
        return soapSince()
                .map(since -> Duration.between(since, now))
                .filter(age -> !age.isNegative())
                .orElse(Duration.ZERO);
    }

    /**
     * When the first bar was in somebody's hands, by the log: out of the mould, cut, or weighed. A wash before that was
     * one with raw batter, or of soap in its mould.
     */
    public Optional<Instant> outOfTheMould() {
        return Stream.of(
                        log.first(Entry.Unmoulded.class), log.first(Entry.Cut.class), log.first(Entry.BarWeighed.class))
                .flatMap(Optional::stream)
                .map(BatchLog.Timed::at)
                .min(Comparator.naturalOrder());
    }

    /**
     * From when on skin may meet it, and its tests on skin mean something: two days after the lye, one where it was
     * cooked until it was clear or is made of soap, and not before it is out of its mould. Empty while there is no
     * soap.
     */
    public Optional<Instant> skinFrom() {
        return oldEnoughForSkin()
                .map(from -> outOfTheMould().filter(out -> out.isAfter(from)).orElse(from));
    }

    /** The same wherever it is. */
    public Optional<Instant> oldEnoughForSkin() {
        return soapSince().map(since -> since.plus(hasReacted() ? SKIN_WHEN_COOKED : SKIN));
    }

    /** Whether what it is made of was soap when it came into the mould. */
    private boolean hasReacted() {
        return isCookedThrough() || plan.isRework() || rebatchedAt().isPresent();
    }

    /** Whether a test on skin at this moment says anything of the soap. */
    public boolean isTestOnSkin(Instant at) {
        return skinFrom().filter(from -> !at.isBefore(from)).isPresent()
                && outOfTheMould().filter(out -> !at.isBefore(out)).isPresent()
                && isTested(at);
    }

    /** Whether a sample that is measured at this moment says anything: a day after the lye, the paste is soap. */
    public boolean isMeasurement(Instant at) {
        return soapSince().filter(since -> !at.isBefore(since.plus(MEASURED))).isPresent() && isTested(at);
    }

    /** What was tested while a batch was there to practise on was practice. */
    private boolean isTested(Instant at) {
        return meantSince().filter(at::isBefore).isEmpty();
    }

    /** When what was for practice became something to be used; empty where it always was. */
    public Optional<Instant> meantSince() {
        List<BatchLog.Timed<Entry.MeantFor>> meant =
                log.of(Entry.MeantFor.class).toList();
        Optional<Instant> since = Optional.empty();
        for (int i = 1; i < meant.size(); i++) {
            boolean was = meant.get(i - 1).entry().purpose() == Purpose.PRACTICE;
            if (was && meant.get(i).entry().purpose() != Purpose.PRACTICE) {
                since = Optional.of(meant.get(i).at());
            }
        }
        return since;
    }

    public Composition composition() {
        return Composition.of(asWeighed().weights().fats());
    }

    /** Lye / (lye + water) as weighed. */
    public Share concentration() {
        double lye = asWeighed().weights().lye().grams();
        double water = asWeighed().weights().water().grams();
        return Share.fraction(lye + water == 0 ? 0 : lye / (lye + water));
    }

    public Optional<Temperature> peak(MeasurementPoint spot) {
        return temperatures(spot).max(Comparator.naturalOrder());
    }

    /** The highest reading of the lye once lye was in it: from the first portion on, where portions were logged. */
    public Optional<Temperature> lyePeak() {
        Instant from = log.first(Entry.PortionFed.class).map(BatchLog.Timed::at).orElse(Instant.MIN);
        return log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == MeasurementPoint.LYE && !t.at().isBefore(from))
                .map(t -> t.entry().temperature())
                .max(Comparator.naturalOrder());
    }

    /** The last reading at a spot before a moment. */
    public Optional<Temperature> lastBefore(MeasurementPoint spot, Instant moment) {
        return log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot && !t.at().isAfter(moment))
                .map(t -> t.entry().temperature())
                .reduce((earlier, later) -> later);
    }

    /** Temperature of the batter at pouring: as said, or the last reading of batter or fats before. */
    public Optional<Temperature> pouredAt() {
        return log.first(Entry.Poured.class)
                .flatMap(p -> Optional.ofNullable(p.entry().batter())
                        .or(() -> lastBefore(MeasurementPoint.BATTER, p.at()))
                        .or(() -> lastBefore(MeasurementPoint.FATS, p.at())));
    }

    public Optional<Temperature> room() {
        return temperatures(MeasurementPoint.ROOM).findFirst();
    }

    /** The room when the soap began to set: the last reading until two hours after the pour, else any. */
    public Optional<Temperature> roomAtTheSet() {
        return log.first(Entry.Poured.class)
                .flatMap(p -> lastBefore(MeasurementPoint.ROOM, p.at().plus(BEGINNING_OF_THE_SET)))
                .or(this::room);
    }

    public boolean was(MouldCare keeping) {
        return log.has(Entry.Kept.class, k -> k.keeping() == keeping);
    }

    /** How the mould was kept, in the order in which it was said. */
    public Stream<BatchLog.Timed<Entry.Kept>> kept() {
        return log.of(Entry.Kept.class);
    }

    /** When the batter went into the mould. */
    public Optional<Instant> poured() {
        return log.first(Entry.Poured.class).map(BatchLog.Timed::at);
    }

    public boolean wasKeptCold() {
        return log.has(Entry.Kept.class, k -> k.keeping().isCold());
    }

    public boolean wasPoured() {
        return log.first(Entry.Poured.class).isPresent();
    }

    public Optional<GelExtent> gel() {
        return log.last(Entry.GelSeen.class).map(g -> g.entry().extent());
    }

    /** Minutes from lye into fats to a stage; absent when either was not logged. */
    public Optional<Double> minutesTo(Stage stage) {
        return log.first(Entry.LyeIntoFats.class)
                .flatMap(in -> log.of(Entry.StageReached.class)
                        .filter(s -> s.entry().stage().isAtLeast(stage))
                        .findFirst()
                        .map(s -> Duration.between(in.at(), s.at()).toSeconds() / 60.0));
    }

    /** Whether the batter was at least at this stage when it was poured, as far as the log tells. */
    public Optional<Stage> stageWhenPoured() {
        return log.first(Entry.Poured.class)
                .flatMap(p -> log.of(Entry.StageReached.class)
                        .filter(s ->
                                !s.at().isAfter(p.at()) && s.entry().stage().isRung())
                        .map(s -> s.entry().stage())
                        .reduce((earlier, later) -> later));
    }

    /** A stage that came within this time after something was added, with what was added. */
    public Optional<String> addedJustBefore(Stage atLeast, Duration within) {
        return log.of(Entry.StageReached.class)
                .filter(s -> s.entry().stage().isAtLeast(atLeast))
                .findFirst()
                .flatMap(s -> log.of(Entry.Added.class)
                        .filter(a -> !a.at().isAfter(s.at())
                                && Duration.between(a.at(), s.at()).compareTo(within) <= 0)
                        .map(a -> a.entry().what().name())
                        .reduce((earlier, later) -> later));
    }

    /**
     * A liquor that can scorch.
     *
     * @param limit from which it does
     * @param peak the highest that it was read at with that in it
     */
    public record Scorching(Temperature limit, Temperature peak) {

        public boolean passed() {
            return peak.isAbove(limit);
        }
    }

    /**
     * The liquor that can scorch and how hot it was read. Milk that joins cooled lye does not meet the heat that the
     * lye made before; empty where nothing can scorch, or nothing was read.
     */
    public Optional<Scorching> scorching() {
        Optional<Temperature> first = ScorchLimit.of(asWeighed().weights(), AdditionStage.LYE);
        if (first.isPresent()) {
            return lyePeak().map(peak -> new Scorching(first.get(), peak));
        }
        return ScorchLimit.of(asWeighed().weights(), AdditionStage.COOLED_LYE)
                .flatMap(limit -> peakAfterCooling().map(peak -> new Scorching(limit, peak)));
    }

    /** Since the first portion of what joins cooled lye, or since the lye was clear where no portion was logged. */
    private Optional<Temperature> peakAfterCooling() {
        Optional<Instant> clear = log.first(Entry.LyeClear.class).map(BatchLog.Timed::at);
        Optional<Instant> from = clear.flatMap(c -> log.of(Entry.PortionFed.class)
                        .map(BatchLog.Timed::at)
                        .filter(at -> !at.isBefore(c))
                        .findFirst())
                .or(() -> clear);
        return from.flatMap(f -> log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == MeasurementPoint.LYE && t.at().isAfter(f) && !t.at().isAfter(now))
                .map(t -> t.entry().temperature())
                .max(Comparator.comparingDouble(Temperature::celsius)));
    }

    /** Whether what meets the lye can scorch: milk, sugar. */
    public boolean canScorch() {
        return ScorchLimit.of(asWeighed().weights(), AdditionStage.LYE)
                .or(() -> ScorchLimit.of(asWeighed().weights(), AdditionStage.COOLED_LYE))
                .isPresent();
    }

    /** Sugar and protein in the liquid, share of it by mass. */
    public Share scorchingInLiquid() {
        double liquid = asWeighed().weights().liquids().stream()
                .mapToDouble(l -> l.mass().grams())
                .sum();
        double scorching = asWeighed().weights().liquids().stream()
                .mapToDouble(l -> l.liquid().scorching().of(l.mass()).grams())
                .sum();
        return Share.fraction(liquid == 0 ? 0 : scorching / liquid);
    }

    /** Whether any of the liquid was planned as ice. */
    public boolean liquidWasFrozen() {
        return plan.formula().liquidParts().stream().anyMatch(l -> l.state().hasIce());
    }

    /** Sugar of fats, by the plan. */
    public Share sugarOfFats() {
        return plan.formula().sugarOfFats();
    }

    /** Additives that are known to move a batter. */
    public List<String> movers() {
        return plan.formula().additives().stream()
                .filter(a -> a.additive().isMover())
                .map(a -> a.additive().name())
                .toList();
    }

    /** Whether it is cooked: by its plan, or because a batch that seized or was held went into the pot after all. */
    public boolean isCooked() {
        return isCooked(plan, log);
    }

    /** The same where nothing else is asked. A look alone, tapped by mistake, cooks nothing. */
    public static boolean isCooked(BatchPlan plan, BatchLog log) {
        return plan.process() == Process.HOT
                || log.has(Entry.Cooked.class, c -> c.what() == Cooking.HEAT_ON || c.what() == Cooking.CLEAR);
    }

    /** Its plan, on the road that it took: what was cooked after all is a cooked soap. */
    public BatchPlan planAsMade() {
        return planAsMade(plan, log);
    }

    /** The plan of a log, on the road that it took: of all facts this one asks for no weighing. */
    public static BatchPlan planAsMade(BatchPlan plan, BatchLog log) {
        return isCookedThrough(log) ? plan.with(Process.HOT) : plan;
    }

    /** What of it was put aside to be melted down, by colour, in the order of the log. */
    public Map<String, Mass> scrapsKept() {
        Map<String, Mass> kept = new LinkedHashMap<>();
        log.of(Entry.ScrapsKept.class)
                .forEach(k -> kept.merge(
                        k.entry().colour().strip().toLowerCase(Locale.ROOT),
                        k.entry().mass(),
                        Mass::plus));
        return kept;
    }

    /** Whether its paste was seen clear all through: what a cook is for. */
    public boolean isCookedThrough() {
        return isCookedThrough(log);
    }

    private static boolean isCookedThrough(BatchLog log) {
        return log.has(Entry.Cooked.class, c -> c.what() == Cooking.CLEAR);
    }

    /** When the heat was first on. */
    public Optional<Instant> cookedSince() {
        return log.first(Entry.Cooked.class).map(BatchLog.Timed::at);
    }

    /** What was read there, as it was logged. */
    public List<BatchLog.Timed<Entry.TemperatureRead>> readings(MeasurementPoint spot) {
        return log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot)
                .toList();
    }

    private Stream<Temperature> temperatures(MeasurementPoint spot) {
        return log.of(Entry.TemperatureRead.class)
                .filter(t -> t.entry().spot() == spot)
                .map(t -> t.entry().temperature());
    }
}
