package io.causticon.benchmark;

import io.causticon.core.loaf.Batter;
import io.causticon.core.loaf.LoafHeat;
import io.causticon.core.loaf.LoafHistory;
import io.causticon.core.loaf.LoafSetup;
import io.causticon.core.mould.Mould;
import io.causticon.core.mould.MouldKind;
import io.causticon.core.quantity.Temperature;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** One run of the loaf's heat over 36 hours. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
public class LoafBenchmark {

    private final LoafSetup setup = LoafSetup.in(
            new Mould("loaf", MouldKind.WOODEN_LOAF, 240, 85, 70, 1),
            68,
            Batter.of(3.475, 0.05, 0.33, 0, 1),
            LoafSetup.Wrap.INSULATED,
            Temperature.celsius(43),
            Temperature.celsius(20));

    @Benchmark
    public LoafHistory run() {
        return LoafHeat.run(setup, 36);
    }
}
