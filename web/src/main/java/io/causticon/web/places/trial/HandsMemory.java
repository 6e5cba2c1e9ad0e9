package io.causticon.web.places.trial;

import com.github.benmanes.caffeine.cache.Cache;
import io.causticon.core.model.plan.Aspect;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Formula;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.science.trial.Effect;
import io.causticon.core.science.trial.PanelEffects;
import io.causticon.core.science.trial.PlanDifference;
import io.causticon.core.science.trial.Sitting;
import io.causticon.web.places.plan.WashFindings;
import io.causticon.web.shared.Caches;
import io.causticon.web.shared.Guard;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.FollowsLogs;
import io.causticon.web.store.trial.Trials;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/**
 * What trials found of single substances. An arm tells of one where it has that more than the control and differs in
 * nothing else that hands may feel; its oldest panel counts, for that is nearest to the bar that is used.
 */
@Component
class HandsMemory implements WashFindings, FollowsLogs {

    private static final int TRIALS = 200;
    private static final int MOST_TOLD = 3;

    private final Trials trials;
    private final Standings standings;
    private final Cache<UUID, Known> known = Caches.atMost(TRIALS).build();

    HandsMemory(Trials trials, Standings standings) {
        this.trials = trials;
        this.standings = standings;
    }

    /** What one trial tells, and the batches that it is read from. */
    private record Known(Set<String> batches, List<Told> told) {}

    /** A sentence about a substance. */
    private record Told(String substance, String words) {}

    @Override
    public List<String> about(BatchPlan plan) {
        Set<String> ids = substances(plan);
        return trials.all().stream()
                .flatMap(t -> Guard.of("trial " + t.id(), () -> known(t)).stream())
                .flatMap(k -> k.told().stream())
                .filter(t -> ids.contains(t.substance()))
                .map(Told::words)
                .distinct()
                .toList();
    }

    @Override
    public void logged(BatchId batch) {
        known.asMap().values().removeIf(k -> k.batches().contains(batch.toString()));
    }

    private Known known(Trials.Trial trial) {
        Set<String> batches = trial.arms().stream()
                .flatMap(a -> a.batch().stream())
                .map(BatchId::toString)
                .collect(Collectors.toSet());
        Known before = known.getIfPresent(trial.id());
        if (before != null && before.batches().equals(batches)) {
            return before;
        }
        Known read = new Known(batches, read(trial));
        known.put(trial.id(), read);
        return read;
    }

    private List<Told> read(Trials.Trial trial) {
        List<ArmStanding> standing = standings.of(trial);
        List<Sitting> sittings = Standings.sittings(standing);
        List<Effect> effects = PanelEffects.of(sittings, trial.control().name());
        List<Told> told = new ArrayList<>();
        for (ArmStanding arm : standing.subList(1, standing.size())) {
            Optional<BatchPlan> control = standing.get(0).plan();
            if (control.isPresent() && arm.plan().isPresent()) {
                only(control.get(), arm.plan().get(), trial.asked().kind())
                        .ifPresent(
                                id -> words(trial, arm, effects, sittings).ifPresent(w -> told.add(new Told(id, w))));
            }
        }
        return told;
    }

    /** The one substance that an arm has more; empty where it differs in anything else that is felt. */
    private static Optional<String> only(BatchPlan control, BatchPlan arm, Aspect.Factor kind) {
        boolean spoilt = PlanDifference.between(control, arm).stream()
                .anyMatch(d -> d.aspect().bearing(kind) == Aspect.Bearing.SPOILS);
        Set<String> more = substances(arm);
        more.removeAll(substances(control));
        return spoilt || more.size() != 1 ? Optional.empty() : more.stream().findFirst();
    }

    private static Set<String> substances(BatchPlan plan) {
        Set<String> ids = new TreeSet<>();
        Formula formula = plan.formula();
        formula.fats().forEach(f -> ids.add(f.fat().id()));
        formula.liquidParts().forEach(l -> ids.add(l.liquid().id()));
        formula.additives().forEach(a -> ids.add(a.additive().id()));
        for (Portion part : plan.pouring().portioning().portions()) {
            part.additives().forEach(a -> ids.add(a.additive().id()));
            part.liquids().forEach(l -> ids.add(l.liquid().id()));
        }
        return ids;
    }

    private static Optional<String> words(
            Trials.Trial trial, ArmStanding arm, List<Effect> effects, List<Sitting> sittings) {
        List<Effect> own = effects.stream()
                .filter(e -> e.arm().equals(arm.arm().name()) && e.interval() != null)
                .toList();
        if (own.isEmpty()) {
            return Optional.empty();
        }
        String age = own.get(own.size() - 1).age();
        List<Effect> oldest = own.stream().filter(e -> e.age().equals(age)).toList();
        long judges = sittings.stream()
                .filter(s -> s.age().equals(age) && s.arm().equals(arm.arm().name()))
                .map(Sitting::judge)
                .distinct()
                .count();
        String found = oldest.stream()
                .filter(Effect::found)
                .sorted(Comparator.comparingDouble((Effect e) -> -Math.abs(e.difference())))
                .limit(MOST_TOLD)
                .map(TrialResults::told)
                .collect(Collectors.joining(", "));
        return Optional.of(arm.arm().name() + " against " + trial.control().name() + " at " + age + ", " + judges
                + (judges == 1 ? " judge: " : " judges: ") + (found.isEmpty() ? "nothing stands out" : found));
    }
}
