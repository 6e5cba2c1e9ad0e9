package io.causticon.benchmark;

import io.causticon.core.model.log.Stage;
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
import io.causticon.core.model.substance.Additive;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.making.LiveTrace;
import io.causticon.core.science.making.MixRecord;
import io.causticon.core.science.making.Situation;
import io.causticon.core.science.making.TraceKnowledge;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.Setup;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** Learning from sixty batches, and one look at the batter on the bench. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 5, time = 2)
public class WorkingTimeBenchmark {

    private final List<MixRecord> batches = new ArrayList<>();
    private TraceKnowledge knowledge = TraceKnowledge.PRIOR;

    @Setup
    public void workshop() {
        Catalogue tables = Catalogue.standard();
        Additive scent = tables.additive("eo-peppermint");
        Random random = new Random(1);
        for (int i = 0; i < 60; i++) {
            double olive = 300 + 600 * random.nextDouble();
            Formula formula = new Formula(
                    List.of(
                            new FatPortion(tables.fat("olive-oil"), Mass.grams(olive)),
                            new FatPortion(tables.fat("palm-oil"), Mass.grams(1000 - olive))),
                    AlkaliChoice.naoh(Share.percent(98)),
                    Share.percent(5),
                    LiquidTarget.concentration(0.28 + 0.1 * random.nextDouble()),
                    List.of(new LiquidPart(tables.liquid("distilled-water"), Share.WHOLE, LiquidState.LIQUID)),
                    List.of());
            BatchPlan plan = new BatchPlan(
                    "batch " + i,
                    formula,
                    Process.COLD,
                    GelGoal.ALLOW,
                    null,
                    Temperature.celsius(32 + 14 * random.nextDouble()),
                    Scales.KITCHEN,
                    "");
            double light = 12 * Math.exp(0.4 * random.nextGaussian());
            List<MixRecord.Addition> additions = i % 2 == 0
                    ? List.of(new MixRecord.Addition(scent, i % 4 == 0 ? "one" : "two", 1.02 * light))
                    : List.of();
            batches.add(new MixRecord(
                    Situation.planned(plan),
                    List.of(
                            new MixRecord.Seen(Stage.EMULSION, 0.3 * light),
                            new MixRecord.Seen(Stage.LIGHT, light),
                            new MixRecord.Seen(Stage.THICK, 2.1 * light)),
                    additions,
                    2.2 * light));
        }
        knowledge = TraceKnowledge.learned(batches);
    }

    @Benchmark
    public TraceKnowledge learning() {
        return TraceKnowledge.learned(batches);
    }

    @Benchmark
    public LiveTrace.Left looking() {
        return LiveTrace.of(knowledge, batches.get(0), 20).workable();
    }
}
