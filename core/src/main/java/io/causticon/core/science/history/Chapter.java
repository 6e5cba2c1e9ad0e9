package io.causticon.core.science.history;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.MixMethod;
import io.causticon.core.model.log.MouldCare;
import io.causticon.core.model.log.Stage;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.science.cure.Readiness;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * One batch in a workshop's history.
 *
 * @param recipe what its recipe is called
 * @param begun when
 * @param mould its name; empty without
 * @param measures what was set and what came of it, each in its unit
 * @param ways how it was done, in words by what is told: how it was mixed, how its mould was kept, at what stage it was
 *     poured, its road
 * @param substances names of fats, liquids and additives in it
 * @param lots label of the lot by the name of the substance, where that was said
 * @param conditions what it had by name, as its maker concluded, with the day on which that was said
 */
public record Chapter(
        String recipe,
        Instant begun,
        String mould,
        Map<Measure, Double> measures,
        Map<String, String> ways,
        Set<String> substances,
        Map<String, String> lots,
        Map<String, Long> conditions) {

    private static final double HUNDREDTHS = 100;

    public Chapter {
        measures = Map.copyOf(measures);
        ways = Map.copyOf(ways);
        substances = Set.copyOf(substances);
        lots = Map.copyOf(lots);
        conditions = Map.copyOf(conditions);
    }

    /** Of a batch as its log tells of it; empty before the pour: what never was a loaf is no chapter. */
    public static Optional<Chapter> of(BatchFacts facts) {
        if (!facts.wasPoured()) {
            return Optional.empty();
        }
        Formula formula = facts.plan().formula();
        Set<String> substances = new TreeSet<>();
        Map<String, String> lots = new TreeMap<>();
        formula.fats().forEach(f -> {
            substances.add(f.fat().name());
            if (f.lot() != null && !f.lot().isBlank()) {
                lots.put(f.fat().name(), f.lot());
            }
        });
        formula.liquidParts().forEach(l -> substances.add(l.liquid().name()));
        formula.additives().forEach(a -> substances.add(a.additive().name()));
        facts.log()
                .of(Entry.Added.class)
                .map(BatchLog.Timed::entry)
                .filter(a -> a.lot() != null && !a.lot().isBlank())
                .forEach(a -> lots.put(a.what().name(), a.lot()));
        return Optional.of(new Chapter(
                facts.plan().name(),
                facts.log().begun(),
                facts.plan().mould() == null ? "" : facts.plan().mould().name(),
                measures(facts),
                ways(facts),
                substances,
                lots,
                facts.log()
                        .of(Entry.Concluded.class)
                        .collect(Collectors.toMap(
                                c -> c.entry().condition().name(),
                                c -> Duration.between(facts.log().begun(), c.at())
                                        .toDays(),
                                Math::min))));
    }

    /** The same with what its case says today where its maker did not conclude. */
    public Chapter having(String condition) {
        return new Chapter(recipe, begun, mould, measures, ways, substances, lots, Map.of(condition, 0L));
    }

    private static Map<Measure, Double> measures(BatchFacts facts) {
        Map<Measure, Double> found = new EnumMap<>(Measure.class);
        BatchLog log = facts.log();
        if (!facts.plan().isRework()) {
            put(found, Measure.LYE_CONCENTRATION, facts.concentration().fraction(), 2 * HUNDREDTHS);
            put(found, Measure.SUPERFAT, facts.asWeighed().superfat().value(), 2 * HUNDREDTHS);
        }
        facts.pouredAt().filter(t -> !facts.isCooked()).ifPresent(t -> found.put(Measure.MIXED_AT, t.celsius()));
        facts.roomAtTheSet().ifPresent(t -> found.put(Measure.ROOM, t.celsius()));
        log.last(Entry.HumidityRead.class)
                .ifPresent(h -> found.put(Measure.HUMIDITY, h.entry().percent() / HUNDREDTHS));
        int seconds = log.of(Entry.BlenderBurst.class)
                .mapToInt(b -> b.entry().seconds())
                .sum();
        if (seconds > 0) {
            found.put(Measure.BLENDED, (double) seconds);
        }
        facts.minutesTo(Stage.LIGHT).ifPresent(m -> found.put(Measure.TO_LIGHT_TRACE, m));
        facts.peak(MeasurementPoint.CORE).ifPresent(t -> found.put(Measure.CORE_PEAK, t.celsius()));
        if (log.first(Entry.BarWeighed.class).isPresent()) {
            found.put(
                    Measure.DAYS_TO_DRY,
                    Readiness.of(facts.plan(), log).drying().readyDay());
        }
        log.last(Entry.NeedleRead.class)
                .ifPresent(n -> found.put(Measure.NEEDLE, n.entry().millimetres()));
        log.last(Entry.Lathered.class)
                .ifPresent(l -> found.put(Measure.LATHER, (double) l.entry().grade()));
        return found;
    }

    /** Rounded, so that a history does not differ by what a double does. */
    private static void put(Map<Measure, Double> found, Measure measure, double value, double steps) {
        if (Double.isFinite(value)) {
            found.put(measure, Math.rint(value * HUNDREDTHS * steps) / (HUNDREDTHS * steps));
        }
    }

    private static Map<String, String> ways(BatchFacts facts) {
        Map<String, String> ways = new LinkedHashMap<>();
        ways.put("made", facts.isCooked() ? "cooked" : facts.plan().isRework() ? "melted down" : "cold");
        MixMethod method = facts.log()
                .last(Entry.MixedWith.class)
                .map(m -> m.entry().method())
                .orElse(MixMethod.STICK);
        ways.put("mixed with", lower(method));
        facts.stageWhenPoured().ifPresent(s -> ways.put("poured at", lower(s)));
        // What was done first is what the loaf had while it could gel or take up air.
        MouldCare care = facts.kept().map(k -> k.entry().keeping()).findFirst().orElse(MouldCare.UNCOVERED);
        ways.put("mould kept", lower(care));
        return ways;
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT).replace('_', ' ');
    }
}
