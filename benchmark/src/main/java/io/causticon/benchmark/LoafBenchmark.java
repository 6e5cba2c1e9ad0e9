package io.causticon.benchmark;

import io.causticon.core.loaf.Batter;
import io.causticon.core.loaf.LoafEnsemble;
import io.causticon.core.loaf.LoafHeat;
import io.causticon.core.loaf.LoafHistory;
import io.causticon.core.loaf.LoafSetup;
import io.causticon.core.mould.Mould;
import io.causticon.core.mould.MouldKind;
import io.causticon.core.quantity.Temperature;
import java.util.Arrays;
import java.util.concurrent.TimeUnit;
import org.openjdk.jmh.annotations.Benchmark;
import org.openjdk.jmh.annotations.BenchmarkMode;
import org.openjdk.jmh.annotations.Fork;
import org.openjdk.jmh.annotations.Measurement;
import org.openjdk.jmh.annotations.Mode;
import org.openjdk.jmh.annotations.OutputTimeUnit;
import org.openjdk.jmh.annotations.Param;
import org.openjdk.jmh.annotations.Scope;
import org.openjdk.jmh.annotations.State;
import org.openjdk.jmh.annotations.Warmup;

/** The loaf over 48 hours: one run, two hundred, and a bare loop over as many cells and steps that does the same arithmetic and nothing else. */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
public class LoafBenchmark {

    private static final double HOURS = 48;
    private static final int REACTING_HOURS = 10;

    /** Bodies of a workshop. */
    public enum Body {
        WOOD(MouldKind.WOODEN_LOAF, 240, 85, 68, LoafSetup.Wrap.INSULATED, 6, 10, 60),
        SILICONE(MouldKind.SILICONE_LOAF, 240, 65, 70, LoafSetup.Wrap.OPEN, 6, 10, 60),
        CAVITY(MouldKind.CAVITIES, 60, 60, 30, LoafSetup.Wrap.OPEN, 6, 7, 30),
        TEN_KILOGRAMS(MouldKind.WOODEN_LOAF, 400, 200, 115, LoafSetup.Wrap.COVERED, 10, 12, 60);

        private final LoafSetup setup;
        private final int columns;
        private final int rows;
        private final int stepSeconds;

        Body(MouldKind kind, double length, double width, double height, LoafSetup.Wrap wrap, int columns, int rows, int stepSeconds) {
            this.setup = in(kind, length, width, height, wrap, 20);
            this.columns = columns;
            this.rows = rows;
            this.stepSeconds = stepSeconds;
        }

        private static LoafSetup in(MouldKind kind, double length, double width, double height, LoafSetup.Wrap wrap, double room) {
            return LoafSetup.in(
                    new Mould("it", kind, length, width, height + 2, 1), height, Batter.of(3.475, 0.05, 0.33, 0, 1), wrap, Temperature.celsius(40),
                    Temperature.celsius(room));
        }
    }

    @Param({"WOOD", "SILICONE", "CAVITY", "TEN_KILOGRAMS"})
    private Body body;

    private final double[] table = new double[400];
    private long asked;

    @Benchmark
    public LoafHistory run() {
        return LoafHeat.run(body.setup, HOURS);
    }

    /** Each time another room, by less than could be felt, so that nothing is known from before. */
    @Benchmark
    public double ensemble() {
        LoafSetup s = body.setup;
        LoafSetup other = new LoafSetup(
                s.batter(), s.width(), s.height(), s.length(), s.side(), s.top(), s.bottom(), s.poured(), s.converted(),
                Temperature.celsius(20 + 1e-9 * ++asked));
        return LoafEnsemble.of(other, HOURS).probabilityPeakAbove(90);
    }

    @Benchmark
    public double bareLoop() {
        int columns = body.columns;
        int n = columns * body.rows;
        double[] t = new double[n];
        double[] x = new double[n];
        double[] heat = new double[n];
        Arrays.fill(t, 40);
        Arrays.fill(x, 0.05);
        Arrays.fill(table, 2e-4);
        int steps = (int) (HOURS * 3600 / body.stepSeconds);
        int reacting = REACTING_HOURS * 3600 / body.stepSeconds;
        for (int step = 0; step < steps; step++) {
            for (int i = columns; i < n - columns; i++) {
                heat[i] = 0.28 / 36e-6 * (t[i + 1] - 2 * t[i] + t[i - 1]) + 0.28 / 49e-6 * (t[i + columns] - 2 * t[i] + t[i - columns]);
            }
            for (int i = 0; i < n; i++) {
                t[i] += body.stepSeconds * heat[i] / 2.4e6;
            }
            for (int i = 0; step < reacting && i < n; i++) {
                double place = (t[i] + 50) * 2;
                int k = (int) place;
                double ke = table[k] + (table[k + 1] - table[k]) * (place - k);
                double s = ke * (1 - 2 * x[i] - 0.08) * body.stepSeconds;
                double grown = ke * (x[i] + 0.08) * (1 - x[i]) * body.stepSeconds * (1 + s * (0.5 + s * (1.0 / 6 + s / 24)));
                x[i] = Math.min(1, x[i] + grown);
                t[i] += 0.01 * grown;
            }
        }
        return t[n / 2];
    }
}
