package io.causticon.benchmark;

import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.plan.AlkaliChoice;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.GelGoal;
import io.causticon.core.model.plan.LiquidPart;
import io.causticon.core.model.plan.LiquidState;
import io.causticon.core.model.plan.LiquidTarget;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.plan.Scales;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.science.facts.BatchFacts;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.concurrent.TimeUnit;
import java.util.stream.IntStream;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/**
 * A whole diagnosis of a batch with thirty findings, ten of them there: slips, inference, ledgers, next looks. The aim
 * is under 15 ms for 45 conditions and 120 findings.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
public class DiagnosisBenchmark {

    /** {@code standard}, or conditions x findings. */
    @Param({"standard", "45x120"})
    public String size = "standard";

    private Diagnostician diagnostician = new Diagnostician(StandardKnowledge.all());
    private BatchFacts facts = facts();

    @Setup
    public void prepare() {
        diagnostician = new Diagnostician(knowledge());
        facts = facts();
    }

    @Benchmark
    public Diagnosis examine() {
        return diagnostician.examine(facts, KnownVessels.NONE);
    }

    private Knowledge knowledge() {
        if (size.equals("standard")) {
            return StandardKnowledge.all();
        }
        String[] parts = size.split("x");
        return SyntheticKnowledge.of(Integer.parseInt(parts[0]), Integer.parseInt(parts[1]));
    }

    private static BatchFacts facts() {
        Catalogue catalogue = Catalogue.standard();
        Formula formula = new Formula(
                List.of(
                        new FatPortion(catalogue.fat("olive-oil"), Mass.grams(540)),
                        new FatPortion(catalogue.fat("lard"), Mass.grams(264)),
                        new FatPortion(catalogue.fat("coconut-oil-76"), Mass.grams(300)),
                        new FatPortion(catalogue.fat("castor-oil"), Mass.grams(96))),
                AlkaliChoice.naoh(Share.percent(98)),
                Share.percent(5),
                LiquidTarget.concentration(0.33),
                List.of(new LiquidPart(catalogue.liquid("distilled-water"), Share.WHOLE, LiquidState.LIQUID)),
                List.of());
        BatchPlan plan = new BatchPlan(
                "Measured", formula, Process.COLD, GelGoal.ALLOW, null, Temperature.celsius(40), Scales.KITCHEN, "");
        Instant begun = Instant.parse("2026-11-01T10:00:00Z");
        List<LoggedEntry> entries = IntStream.range(0, 30)
                .mapToObj(i -> LoggedEntry.first(
                        "line" + i,
                        begun.plus(Duration.ofMinutes(30L * (i + 1))),
                        "Ines",
                        new Entry.Observed(
                                Findings.ALL.get(i).id(), i % 3 == 0 ? Presence.SEEN : Presence.LOOKED_AND_ABSENT)))
                .toList();
        return BatchFacts.of(plan, new BatchLog(begun, entries), begun.plus(Duration.ofDays(20)));
    }
}
