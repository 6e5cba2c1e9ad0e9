package io.causticon.web.places.bench;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.AsWeighed;
import io.causticon.core.science.facts.BatchFacts;
import io.causticon.core.science.facts.WeighingOrder;
import io.causticon.core.science.pots.SecondFeed;
import io.causticon.web.store.batch.Batch;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** The steps of the bench in the order of work. Where a batch stands follows from its log. */
enum BenchStep {
    WEIGH("Weigh"),
    READY("Ready"),
    LYE("Lye pot"),
    MATCH("Match"),
    MIX("Mix"),
    COOK("Cook"),
    POUR("Pour"),
    OUT("Out");

    /** Scraps have no lye to make. */
    private static final List<BenchStep> REWORK = List.of(WEIGH, COOK, POUR, OUT);

    private static final Temperature HOT = Temperature.celsius(30);

    private final String title;

    BenchStep(String title) {
        this.title = title;
    }

    /** As it is called for this batch. */
    String title(Batch batch) {
        return this == COOK && batch.plan().isRework() ? "Melt" : title;
    }

    String id() {
        return name().toLowerCase(Locale.ROOT);
    }

    /** The step of this id; empty if there is none. */
    static Optional<BenchStep> named(String id) {
        return List.of(values()).stream()
                .filter(s -> s.id().equalsIgnoreCase(id))
                .findFirst();
    }

    /** The steps of this batch: a pot is cooked where that is planned or was begun. */
    static List<BenchStep> road(Batch batch) {
        return road(batch, WEIGH);
    }

    /** The same with one that is looked at: whoever is led to the cook by a rescue sees it among the others. */
    static List<BenchStep> road(Batch batch, BenchStep shown) {
        if (batch.plan().isRework()) {
            return REWORK;
        }
        boolean cooked = shown == COOK || BatchFacts.isCooked(batch.plan(), batch.log());
        return List.of(values()).stream().filter(s -> s != COOK || cooked).toList();
    }

    static BenchStep of(Batch batch) {
        // What is in the mould is watched where it was poured, until somebody goes to take it out.
        boolean out = batch.log().first(Entry.Unmoulded.class).isPresent()
                || batch.log().has(Entry.MouldTried.class, t -> true);
        return road(batch).stream()
                .filter(s -> s != OUT && !s.isDone(batch))
                .findFirst()
                .orElse(out ? OUT : POUR);
    }

    boolean isDone(Batch batch) {
        BatchLog log = batch.log();
        boolean lyeIn = log.first(Entry.LyeIntoFats.class).isPresent();
        boolean poured = log.first(Entry.Poured.class).isPresent();
        boolean ready = log.first(Entry.ReadyForLye.class).isPresent()
                || log.first(Entry.PortionFed.class).isPresent()
                || hotWithoutPortions(log);
        if (this == WEIGH && batch.plan().isRework()) {
            boolean melting = log.has(Entry.Cooked.class, c -> true);
            return melting
                    || poured
                    || WeighingOrder.of(batch.plan(), log)
                            .next()
                            .filter(w -> w.kind() != Weighable.Kind.ADDITIVE)
                            .isEmpty();
        }
        return switch (this) {
            // Whoever makes ready has weighed a second time what needs it.
            case WEIGH ->
                AsWeighed.of(batch.plan(), log).isComplete()
                                && (ready
                                        || WeighingOrder.of(batch.plan(), log)
                                                .again()
                                                .isEmpty())
                        || lyeIn
                        || poured;
            case READY -> ready || lyeIn || poured;
            case LYE ->
                log.first(Entry.LyeClear.class).isPresent() && !isSecondFeedOpen(batch)
                        || hotWithoutPortions(log)
                        || lyeIn
                        || poured;
            case MATCH -> lyeIn || poured;
            case MIX -> poured || log.has(Entry.Cooked.class, c -> c.what() == Cooking.HEAT_ON);
            case COOK -> poured || log.has(Entry.Cooked.class, c -> c.what() == Cooking.HEAT_OFF);
            case POUR -> poured && log.first(Entry.Kept.class).isPresent();
            case OUT -> log.first(Entry.Cut.class).isPresent();
        };
    }

    /** A liquid is still to join the cooled lye. */
    static boolean isSecondFeedOpen(Batch batch) {
        return SecondFeed.of(batch.plan(), batch.log(), HOT, Optional.empty())
                .filter(f -> !f.isDone())
                .isPresent();
    }

    /**
     * Who does not log portions tells by a hot reading that the lye is in; a probe that waits in cold milk tells
     * nothing.
     */
    private static boolean hotWithoutPortions(BatchLog log) {
        return log.first(Entry.PortionFed.class).isEmpty()
                && log.has(
                        Entry.TemperatureRead.class,
                        t -> t.spot() == MeasurementPoint.LYE && t.temperature().isAbove(HOT));
    }
}
