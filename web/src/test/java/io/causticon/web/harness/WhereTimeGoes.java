package io.causticon.web.harness;

import com.sun.management.OperatingSystemMXBean;
import java.lang.management.ManagementFactory;
import java.time.Duration;
import java.util.Comparator;
import java.util.HashMap;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import org.junit.platform.engine.TestExecutionResult;
import org.junit.platform.engine.support.descriptor.ClassSource;
import org.junit.platform.launcher.TestExecutionListener;
import org.junit.platform.launcher.TestIdentifier;
import org.junit.platform.launcher.TestPlan;

/**
 * Tells at the end of a run how many seconds of a processor each class of tests took, browsers included: what keeps the
 * test command short is seen where it is lost. Nothing is judged by it.
 */
public final class WhereTimeGoes implements TestExecutionListener {

    private static final int SHOWN = 25;

    private final Map<String, Double> started = new HashMap<>();
    private final Map<String, Double> taken = new HashMap<>();

    @Override
    public void executionStarted(TestIdentifier test) {
        outermost(test).ifPresent(name -> started.put(name, seconds()));
    }

    @Override
    public void executionFinished(TestIdentifier test, TestExecutionResult result) {
        outermost(test).ifPresent(name -> taken.put(name, seconds() - started.get(name)));
    }

    @Override
    public void testPlanExecutionFinished(TestPlan plan) {
        System.out.printf(Locale.ROOT, "Seconds of a processor: %.0f in all%n", seconds());
        taken.entrySet().stream()
                .sorted(Map.Entry.comparingByValue(Comparator.reverseOrder()))
                .limit(SHOWN)
                .forEach(c -> System.out.printf(Locale.ROOT, "%8.1f %s%n", c.getValue(), c.getKey()));
    }

    /** The name of a class that stands in no other. */
    private static Optional<String> outermost(TestIdentifier test) {
        return test.getSource()
                .filter(ClassSource.class::isInstance)
                .map(s -> ((ClassSource) s).getClassName())
                .filter(name -> !name.contains("$"));
    }

    private static double seconds() {
        OperatingSystemMXBean machine = (OperatingSystemMXBean) ManagementFactory.getOperatingSystemMXBean();
        double own = machine.getProcessCpuTime() / 1e9;
        double browsers = ProcessHandle.current()
                .descendants()
                .map(p -> p.info().totalCpuDuration().orElse(Duration.ZERO))
                .mapToDouble(d -> d.toNanos() / 1e9)
                .sum();
        return own + browsers;
    }
}
