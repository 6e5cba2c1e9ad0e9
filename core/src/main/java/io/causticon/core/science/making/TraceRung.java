package io.causticon.core.science.making;

import io.causticon.core.model.log.Stage;
import java.util.Arrays;
import java.util.Optional;

/**
 * The rungs from emulsion to mash: when each is reached, and how much has become soap by then. One table, whoever asks:
 * the forecast of the working time, the loaf that is poured at a rung, the stand-ins for instruments, the drill.
 * Minutes are measured by those to light trace, because a recipe stretches all of them alike; shares are estimates from
 * the heat that batters give on the way, and what uses them allows a factor of 1.6 either way.
 */
public enum TraceRung {
    EMULSION(Stage.EMULSION, 0.30, 0.40, 0.02),
    THIN(Stage.THIN, 0.65, 0.20, 0.05),
    LIGHT(Stage.LIGHT, 1, 0, 0.05),
    MEDIUM(Stage.MEDIUM, 1.5, 0.35, 0.08),
    THICK(Stage.THICK, 2.2, 0.35, 0.13),
    MASH(Stage.MASH, 3.0, 0.40, 0.13);

    private final Stage stage;
    private final double reached;
    private final double deviation;
    private final double converted;

    TraceRung(Stage stage, double reached, double deviation, double converted) {
        this.stage = stage;
        this.reached = reached;
        this.deviation = deviation;
        this.converted = converted;
    }

    /** Of a stage; empty for streaks, which come before all, and for what goes wrong beside the ladder. */
    public static Optional<TraceRung> of(Stage stage) {
        return Arrays.stream(values()).filter(r -> r.stage == stage).findFirst();
    }

    /**
     * The last that is reached.
     *
     * @param minutes since lye-in, as a share of those to light trace, 0 or more
     */
    public static Stage at(double minutes) {
        return Arrays.stream(values())
                .filter(r -> r.reached <= minutes)
                .reduce((before, last) -> last)
                .map(TraceRung::stage)
                .orElse(Stage.STREAKS);
    }

    public Stage stage() {
        return stage;
    }

    /** Minutes to it over minutes to light trace, in the middle of batches. */
    public double reached() {
        return reached;
    }

    /**
     * Of the logarithm of those minutes before light trace, and after it of the minutes from light trace on, so that a
     * later rung never comes before.
     */
    double deviation() {
        return deviation;
    }

    /** Logarithm that {@link #deviation()} is of. */
    double ladder() {
        return compareTo(LIGHT) > 0 ? Math.log(reached - 1) : Math.log(reached);
    }

    /** Share of the fats that has reacted, between 0 and 1. */
    public double converted() {
        return converted;
    }
}
