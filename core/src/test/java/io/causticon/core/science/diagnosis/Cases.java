package io.causticon.core.science.diagnosis;

import io.causticon.core.Recipes;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.Named;
import io.causticon.core.model.log.Tare;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.said.entry.QuickContext;
import io.causticon.core.model.said.entry.QuickLine;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * Writes batches for tests in the shorthand of the bench:
 * {@code batch(plan).weighedAsPlanned().log("day 9 see thick crust")}.
 */
public final class Cases {

    static final Instant BEGUN = Instant.parse("2026-10-20T18:00:00Z");
    public static final Knowledge KNOWLEDGE = StandardKnowledge.all();
    static final Diagnostician DIAGNOSTICIAN = new Diagnostician(KNOWLEDGE);
    private static final KnownVessels VESSELS = new KnownVessels(Map.of("second jug", Mass.grams(84)), Map.of());

    private final BatchPlan plan;
    private final List<LoggedEntry> entries = new ArrayList<>();

    private Cases(BatchPlan plan) {
        this.plan = plan;
    }

    public static Cases batch(Recipes recipe) {
        return new Cases(recipe.plan());
    }

    public static Cases batch(BatchPlan plan) {
        return new Cases(plan);
    }

    public Cases weighedAsPlanned() {
        Weights planned = Weights.planned(plan.formula());
        planned.fats().forEach(f -> weighed(Weighable.fat(f.fat().id()), f.mass(), Tare.TAKEN, null));
        weighed(Weighable.NAOH, planned.naoh(), Tare.TAKEN, null);
        planned.liquids().forEach(l -> weighed(Weighable.liquid(l.liquid().id()), l.mass(), Tare.TAKEN, null));
        return this;
    }

    public Cases weighed(Weighable what, Mass mass, Tare tare, @Nullable String vessel) {
        entries.removeIf(e -> e.entry() instanceof Entry.Weighed w && w.what().equals(what));
        return add(
                BEGUN.plusSeconds(60),
                new Entry.Weighed(what, mass, tare, vessel == null ? null : Named.called(vessel)));
    }

    public Cases log(String... lines) {
        for (String line : lines) {
            QuickLine.Reading reading = QuickLine.read(
                    line,
                    new QuickContext(
                            plan,
                            BEGUN,
                            BEGUN.plus(Duration.ofDays(300)),
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

    public BatchFacts facts() {
        Instant last =
                entries.stream().map(LoggedEntry::at).max(Instant::compareTo).orElse(BEGUN);
        return BatchFacts.of(plan, new BatchLog(BEGUN, entries), last.plus(Duration.ofHours(1)));
    }

    public Diagnosis diagnosis() {
        return DIAGNOSTICIAN.examine(facts(), VESSELS);
    }

    Diagnostician.Examined examined() {
        return DIAGNOSTICIAN.assess(facts(), VESSELS);
    }

    public double probabilityOf(Condition condition) {
        return diagnosis().of(condition).probability();
    }

    /** Told after all else. */
    Cases entry(Entry entry) {
        return add(
                entries.stream()
                        .map(LoggedEntry::at)
                        .max(Instant::compareTo)
                        .orElse(BEGUN)
                        .plusSeconds(60),
                entry);
    }

    private Cases add(Instant at, Entry entry) {
        entries.add(LoggedEntry.first("e" + entries.size(), at, "Ines", entry));
        return this;
    }
}
