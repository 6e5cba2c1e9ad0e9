package io.causticon.web.batch;

import io.causticon.core.diagnosis.Road;
import io.causticon.web.shared.Formats;
import java.time.Instant;
import java.util.List;
import java.util.Optional;

/**
 * The way to a release as a page shows it, beside the gate.
 *
 * @param steps what to do, each with its day
 * @param opens whether it may be released once each of them is calm
 */
public record RoadWords(List<Step> steps, boolean opens) {

    public static final RoadWords NONE = new RoadWords(List.of(), true);

    public RoadWords {
        steps = List.copyOf(steps);
    }

    /** One thing to do: how, from which day on. */
    public record Step(String words, String when) {}

    public static RoadWords of(Optional<Road> road, Formats formats, Instant now) {
        return road.map(r -> new RoadWords(r.steps().stream().map(s -> step(s, formats, now)).toList(), r.opens())).orElse(NONE);
    }

    private static Step step(Road.Step step, Formats formats, Instant now) {
        String words = formats.phrase(step.words());
        String how = Character.toUpperCase(words.charAt(0)) + words.substring(1) + (words.endsWith(".") ? "" : ".");
        return new Step(step.part().isEmpty() ? how : step.part() + ": " + how, step.from().isAfter(now) ? "from " + formats.day(step.from(), now) : "now");
    }
}
