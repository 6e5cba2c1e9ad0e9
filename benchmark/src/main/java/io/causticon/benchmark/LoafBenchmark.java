package io.causticon.benchmark;

import io.causticon.core.model.mould.Mould;
import io.causticon.core.model.mould.MouldKind;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.loaf.Batter;
import io.causticon.core.science.loaf.LoafEnsemble;
import io.causticon.core.science.loaf.LoafHeat;
import io.causticon.core.science.loaf.LoafHistory;
import io.causticon.core.science.loaf.LoafSetup;
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

/**
 * The loaf over 48 hours: one run, two hundred, and a bare loop over as many cells and steps with the same arithmetic
 * and nothing else.
 */
@State(Scope.Benchmark)
@BenchmarkMode(Mode.SampleTime)
@OutputTimeUnit(TimeUnit.MILLISECONDS)
@Fork(1)
@Warmup(iterations = 3, time = 2)
@Measurement(iterations = 4, time = 2)
public class LoafBenchmark {

    private static final double HOURS = 48;

    /** Bodies of a workshop. */
    public enum Body {
        WOOD(MouldKind.WOODEN_LOAF, 240, 85, 68, LoafSetup.Wrap.INSULATED, 6, 10, 60, BareLoaf.Wall.TOWELLED_WOOD),
        SILICONE(MouldKind.SILICONE_LOAF, 240, 65, 70, LoafSetup.Wrap.OPEN, 6, 10, 60, BareLoaf.Wall.SILICONE),
        CAVITY(MouldKind.CAVITIES, 60, 60, 30, LoafSetup.Wrap.OPEN, 6, 7, 30, BareLoaf.Wall.SILICONE),
        TEN_KILOGRAMS(MouldKind.WOODEN_LOAF, 400, 200, 115, LoafSetup.Wrap.COVERED, 10, 12, 60, BareLoaf.Wall.WOOD);

        private final LoafSetup setup;
        private final int columns;
        private final int rows;
        private final int stepSeconds;
        private final BareLoaf.Wall wall;

        Body(
                MouldKind kind,
                double length,
                double width,
                double height,
                LoafSetup.Wrap wrap,
                int columns,
                int rows,
                int stepSeconds,
                BareLoaf.Wall wall) {
            this.setup = in(kind, length, width, height, wrap, 20);
            this.columns = columns;
            this.rows = rows;
            this.stepSeconds = stepSeconds;
            this.wall = wall;
        }

        private static LoafSetup in(
                MouldKind kind, double length, double width, double height, LoafSetup.Wrap wrap, double room) {
            return LoafSetup.in(
                    new Mould("it", kind, length, width, height + 2, 1),
                    height,
                    Batter.of(3.475, 0.05, 0.33, 0, 1),
                    wrap,
                    Temperature.celsius(40),
                    Temperature.celsius(room));
        }
    }

    @Param({"WOOD", "SILICONE", "CAVITY", "TEN_KILOGRAMS"})
    private Body body;

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
                s.batter(),
                s.width(),
                s.height(),
                s.length(),
                s.side(),
                s.top(),
                s.bottom(),
                s.poured(),
                s.converted(),
                Temperature.celsius(20 + 1e-9 * ++asked));
        return LoafEnsemble.of(other, HOURS).probabilityPeakAbove(90);
    }

    /**
     * The same equations from cell to cell as one flat loop over arrays: conduction, walls, soap, latent heat, boiling,
     * gel, peak. No length, no history.
     */
    @Benchmark
    public double bareLoop() {
        return new BareLoaf(body.setup, body.columns, body.rows, body.stepSeconds, body.wall).run(HOURS);
    }
}
