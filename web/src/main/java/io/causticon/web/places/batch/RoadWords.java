package io.causticon.web.places.batch;

import io.causticon.core.science.diagnosis.Road;
import io.causticon.web.shared.Formats;
import java.time.Duration;
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

    /** What may be done within the hour may be done now. */
    private static final Duration SOON = Duration.ofHours(1);

    public RoadWords {
        steps = List.copyOf(steps);
    }

    /** One thing to do: how, from which day on, and whether no more than a look. */
    public record Step(String words, String when, boolean isLook) {}

    public static RoadWords of(Optional<Road> road, Formats formats, Instant now) {
        return road.map(r -> new RoadWords(
                        r.steps().stream().map(s -> step(s, formats, now)).toList(), r.opens()))
                .orElse(NONE);
    }

    private static Step step(Road.Step step, Formats formats, Instant now) {
        String words = formats.phrase(step.words());
        String how = Character.toUpperCase(words.charAt(0)) + words.substring(1) + (words.endsWith(".") ? "" : ".");
        return new Step(
                step.part().isEmpty() ? how : step.part() + ": " + how,
                step.from().isAfter(now.plus(SOON)) ? "from " + formats.day(step.from(), now) : "now",
                step.kind() == Road.Kind.LOOK || step.kind() == Road.Kind.CUT);
    }
}
