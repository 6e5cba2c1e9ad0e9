package io.causticon.core.science.cook;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Cooking;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;

/** What happened to a pot on the heat, minute by minute, for tests. */
final class PotLog {

    static final Instant BEGUN = Instant.parse("2026-11-20T09:00:00Z");

    private final List<LoggedEntry> lines = new ArrayList<>();

    PotLog at(double minutes, Entry entry) {
        lines.add(LoggedEntry.first("l" + lines.size(), moment(minutes), "odd", entry));
        return this;
    }

    PotLog cook(double minutes, Cooking what) {
        return at(minutes, new Entry.Cooked(what));
    }

    PotLog pot(double minutes, double celsius) {
        return at(minutes, new Entry.TemperatureRead(MeasurementPoint.BATTER, Temperature.celsius(celsius)));
    }

    CookWatch watch(BatchPlan plan, double minutes) {
        Instant now = moment(minutes);
        return CookWatch.of(BatchFacts.of(plan, log(), now), now).orElseThrow();
    }

    BatchLog log() {
        return new BatchLog(BEGUN, lines);
    }

    static Instant moment(double minutes) {
        return BEGUN.plusSeconds(Math.round(60 * minutes));
    }
}
