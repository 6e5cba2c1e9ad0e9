package io.causticon.web.exchange.carry;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.said.intake.LoggerShape;
import io.causticon.core.model.said.intake.TimeShape;
import io.causticon.core.model.said.notation.TimeNotation;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.Kept;
import java.time.DateTimeException;
import java.time.Instant;
import java.time.ZoneId;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;

/**
 * What somebody said of how a table is read, as fields of a form and as it is remembered. What cannot be is as it was
 * guessed.
 */
final class ProbeForm {

    private static final int MOST_COLUMNS = 200;

    private ProbeForm() {}

    static LoggerShape corrected(LoggerShape guess, Map<String, String> said, ZoneId zone, Instant begun, Instant now) {
        ZoneId of = zone(said.getOrDefault("zone", "")).orElse(guess.zone());
        return new LoggerShape(
                guess.delimiter(),
                guess.heading(),
                column(said, "time", guess.time()),
                column(said, "clock", guess.clock()),
                Kept.choice(TimeShape.class, said.getOrDefault("shape", "")).orElse(guess.shape()),
                of,
                beginning(said.getOrDefault("beginning", ""), begun, now, zone).orElse(guess.beginning()),
                column(said, "value", guess.value()),
                Kept.choice(LoggerShape.Scale.class, said.getOrDefault("scale", ""))
                        .orElse(guess.scale()),
                Kept.choice(MeasurementPoint.class, said.getOrDefault("spot", ""))
                        .orElse(guess.spot()));
    }

    /** What is remembered of it: where in time a file began is its own. */
    static Map<String, String> said(LoggerShape shape) {
        Map<String, String> said = new HashMap<>();
        said.put("time", String.valueOf(shape.time()));
        said.put("clock", String.valueOf(shape.clock()));
        said.put("shape", shape.shape().name());
        said.put("zone", shape.zone().getId());
        said.put("value", String.valueOf(shape.value()));
        said.put("scale", shape.scale().name());
        said.put("spot", shape.spot().name());
        return said;
    }

    private static int column(Map<String, String> said, String name, int otherwise) {
        String typed = said.getOrDefault(name, "");
        return typed.matches("-1|\\d{1,3}") ? Math.min(MOST_COLUMNS, Integer.parseInt(typed)) : otherwise;
    }

    private static Optional<ZoneId> zone(String typed) {
        try {
            return typed.isBlank() ? Optional.empty() : Optional.of(ZoneId.of(typed));
        } catch (DateTimeException e) {
            return Optional.empty();
        }
    }

    private static Optional<Instant> beginning(String typed, Instant begun, Instant now, ZoneId zone) {
        try {
            return typed.isBlank()
                    ? Optional.empty()
                    : Optional.of(TimeNotation.read("beginning", typed, begun, now, zone));
        } catch (ProblemsException e) {
            return Optional.empty();
        }
    }
}
