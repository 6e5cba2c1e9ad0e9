package io.causticon.core.workshop.assessment;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.said.entry.QuickContext;
import io.causticon.core.model.said.entry.QuickLine;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;

/** Writes the history of a batch for tests in the shorthand of the bench, and judges it at any moment. */
final class Histories {

    static final Instant BEGUN = Instant.parse("2026-10-20T18:00:00Z");
    static final Diagnostician DIAGNOSTICIAN = new Diagnostician(StandardKnowledge.all());

    private final BatchPlan plan;
    private final List<LoggedEntry> lines = new ArrayList<>();
    private Duration shift = Duration.ZERO;
    private KnownVessels vessels = KnownVessels.NONE;

    private Histories(BatchPlan plan) {
        this.plan = plan;
    }

    static Histories of(BatchPlan plan) {
        return new Histories(plan);
    }

    /** All times of lines that come are so much later. */
    Histories later(Duration by) {
        shift = by;
        return this;
    }

    Histories knowing(KnownVessels known) {
        vessels = known;
        return this;
    }

    Histories weighedAsPlanned() {
        Weights planned = Weights.planned(plan.formula());
        planned.fats()
                .forEach(f -> add(
                        BEGUN.plusSeconds(60),
                        new Entry.Weighed(Weighable.fat(f.fat().id()), f.mass(), Tare.TAKEN, null)));
        add(BEGUN.plusSeconds(61), new Entry.Weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null));
        planned.liquids()
                .forEach(l -> add(
                        BEGUN.plusSeconds(62),
                        new Entry.Weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null)));
        return this;
    }

    Histories log(String... said) {
        for (String line : said) {
            QuickLine.Reading reading = QuickLine.read(
                    line.trim(),
                    new QuickContext(
                            plan,
                            BEGUN,
                            BEGUN.plus(Duration.ofDays(400)),
                            ZoneOffset.UTC,
                            Units.METRIC,
                            Findings.vocabulary()));
            if (!reading.problems().isEmpty()) {
                throw new IllegalArgumentException(line + ": " + reading.problems());
            }
            reading.entries().forEach(e -> add(reading.at().orElse(BEGUN.plusSeconds(120)), e));
        }
        return this;
    }

    Histories entry(Duration after, Entry entry) {
        add(BEGUN.plus(after), entry);
        return this;
    }

    private void add(Instant at, Entry entry) {
        lines.add(LoggedEntry.first("line " + lines.size(), at.plus(shift), "Ines", entry));
    }

    BatchLog batchLog() {
        return new BatchLog(BEGUN.plus(shift), lines);
    }

    Assessment at(Duration after) {
        return Assessment.of(
                plan,
                batchLog(),
                new Assessment.Known(DIAGNOSTICIAN, vessels),
                BEGUN.plus(shift).plus(after));
    }

    /** An hour after its last line. */
    Assessment now() {
        Instant last =
                lines.stream().map(LoggedEntry::at).max(Instant::compareTo).orElse(BEGUN.plus(shift));
        return at(Duration.between(BEGUN.plus(shift), last).plusHours(1));
    }
}
