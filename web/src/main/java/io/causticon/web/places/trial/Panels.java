package io.causticon.web.places.trial;

import io.causticon.core.science.trial.PanelPlan;
import io.causticon.web.shared.Guard;
import io.causticon.web.store.trial.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;

/** Panels that somebody is to sit down for. */
@Service
public class Panels {

    private final Trials trials;
    private final Standings standings;
    private final Clock clock;

    Panels(Trials trials, Standings standings, Clock clock) {
        this.trials = trials;
        this.standings = standings;
        this.clock = clock;
    }

    /**
     * One of them.
     *
     * @param trial whose
     * @param question that it helps to answer
     * @param age in words
     * @param arms who sits, by name
     * @param due when they come closest to that age
     * @param closes after that one of them is too old
     */
    public record Due(UUID trial, String question, String age, List<String> arms, Instant due, Instant closes) {}

    /** Those that open or are open, by their moment. */
    public List<Due> until(Instant moment) {
        Instant now = clock.instant();
        return trials.all().stream()
                .flatMap(t ->
                        Guard.of("trial " + t.id(), () -> of(t, now)).stream().flatMap(List::stream))
                .filter(d -> !d.due().isAfter(moment))
                .sorted(Comparator.comparing(Due::due))
                .toList();
    }

    private List<Due> of(Trials.Trial trial, Instant now) {
        // One arm of a batch that was cut is no panel; of soaps made over weeks each fresh one is.
        Stream<PanelPlan> panels =
                Standings.panels(standings.of(trial), now).stream().filter(PanelPlan::isDue);
        return panels.map(p -> new Due(trial.id(), trial.question(), p.age().words(), p.arms(), p.due(), p.closes()))
                .toList();
    }
}
