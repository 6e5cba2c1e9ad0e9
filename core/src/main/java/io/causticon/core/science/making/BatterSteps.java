package io.causticon.core.science.making;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.plan.AdditionStage;
import io.causticon.core.model.plan.AdditivePortion;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.FatPortion;
import io.causticon.core.model.plan.LiquidPortion;
import io.causticon.core.model.plan.Portioning;
import io.causticon.core.model.plan.Vessel;
import io.causticon.core.model.substance.Additive;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.formula.PortionAmounts;
import io.causticon.core.science.formula.Portions;
import io.causticon.core.wording.Phrase;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * What goes into a batter and out of it, in the order of work: first what goes into all of it, powders before scents
 * and the calm ones before those that hurry; then one portion after the other, each taken and coloured before the next
 * is touched; layers are poured as they are ready; what is to end it fast goes in last.
 */
public final class BatterSteps {

    private static final double WETTING = 2.5;

    private final BatchPlan plan;
    private final BatchLog log;
    private final TraceKnowledge knowledge;
    private final @Nullable Instant lyeIn;
    private final List<BatterStep> steps = new ArrayList<>();
    private final List<String> used = new ArrayList<>();

    private BatterSteps(BatchPlan plan, BatchLog log, TraceKnowledge knowledge) {
        this.plan = plan;
        this.log = log;
        this.knowledge = knowledge;
        this.lyeIn = log.first(Entry.LyeIntoFats.class).map(BatchLog.Timed::at).orElse(null);
    }

    public static List<BatterStep> of(BatchPlan plan, BatchLog log, TraceKnowledge knowledge) {
        BatterSteps steps = new BatterSteps(plan, log, knowledge);
        steps.whole();
        steps.portions();
        steps.endings();
        // What is to be in the fats is asked for before the lye goes in; here it is asked for only if it was forgotten.
        steps.steps.removeIf(s -> s.when() == AdditionStage.FATS
                && (steps.lyeIn == null || s.doneAt().filter(m -> m <= 0).isPresent()));
        return List.copyOf(steps.steps);
    }

    private void whole() {
        for (AdditionStage when :
                List.of(AdditionStage.FATS, AdditionStage.EMULSION, AdditionStage.TRACE, AdditionStage.AFTER_COOK)) {
            AlkaliBalance.of(plan.formula()).liquids().stream()
                    .filter(l -> l.joins() == when)
                    .forEach(l -> liquid(l, null, when));
            if (when == AdditionStage.AFTER_COOK) {
                plan.formula().fats().stream().filter(FatPortion::afterCook).forEach(this::fat);
            }
            sorted(plan.formula().additives().stream()
                            .filter(a -> a.joins() == when)
                            .toList())
                    .forEach(a -> add(a, null, when));
        }
    }

    private void portions() {
        Portioning portioning = plan.pouring().portioning();
        if (portioning.way() == Portioning.Way.WHOLE || !Portions.check(plan).isEmpty()) {
            return;
        }
        Portions portions = Portions.of(plan);
        Vessel bowl = portioning.bowl();
        boolean inLayers = portioning.way() == Portioning.Way.LAYERS;
        for (PortionAmounts p : portions.amounts()) {
            String name = p.portion().name();
            Mass scale = bowl == null ? null : p.bowlAfter().plus(bowl.mass());
            steps.add(new BatterStep(
                    BatterStep.Kind.TAKE,
                    name,
                    null,
                    p.batter(),
                    name,
                    AdditionStage.TRACE,
                    List.of(),
                    scale,
                    taken(name)));
            p.liquids().forEach(l -> liquid(l, name, AdditionStage.TRACE));
            sorted(p.additives()).forEach(a -> add(a, name, AdditionStage.TRACE));
            if (inLayers) {
                pour(p);
            }
        }
        if (!inLayers) {
            portions.amounts().forEach(this::pour);
        }
    }

    private void pour(PortionAmounts p) {
        String name = p.portion().name();
        Optional<Double> done = log.first(
                        Entry.LayerPoured.class, l -> l.portion().isCalled(name))
                .map(l -> minute(l.at()));
        steps.add(new BatterStep(
                BatterStep.Kind.POUR, name, null, p.poured(), name, AdditionStage.TRACE, List.of(), null, done));
    }

    private void endings() {
        for (AdditionStage when : List.of(AdditionStage.LAST, AdditionStage.TOP)) {
            List<BatterStep> before = List.copyOf(steps);
            sorted(plan.formula().additives().stream()
                            .filter(a -> a.joins() == when)
                            .toList())
                    .forEach(a -> add(a, null, when));
            boolean beforeTheMould =
                    when == AdditionStage.LAST && plan.pouring().portioning().way() != Portioning.Way.LAYERS;
            if (beforeTheMould && steps.size() > before.size()) {
                // What ends it fast goes in before the pour, not after.
                List<BatterStep> endings = List.copyOf(steps.subList(before.size(), steps.size()));
                steps.removeAll(endings);
                int at = 0;
                while (at < steps.size() && steps.get(at).kind() != BatterStep.Kind.POUR) {
                    at++;
                }
                steps.addAll(at, endings);
            }
        }
    }

    /** Powders before scents, the calm before those that hurry. */
    private List<AdditivePortion> sorted(List<AdditivePortion> additives) {
        return additives.stream()
                .sorted(Comparator.comparing((AdditivePortion a) -> a.additive().isFragrance())
                        .thenComparing(
                                a -> -knowledge.effect(a.additive(), null).middle()))
                .toList();
    }

    private void liquid(LiquidPortion l, @Nullable String portion, AdditionStage when) {
        String name = l.liquid().name();
        steps.add(new BatterStep(
                BatterStep.Kind.ADD,
                name,
                null,
                l.mass(),
                portion,
                when,
                List.of(),
                null,
                log.of(Entry.Added.class)
                        .filter(a -> unused(a.id()) && isLiquid(a.entry(), l) && goesTo(a.entry(), portion))
                        .findFirst()
                        .map(a -> minute(use(a.id(), a.at())))));
    }

    private void fat(FatPortion f) {
        String name = f.fat().name();
        steps.add(new BatterStep(
                BatterStep.Kind.ADD,
                name,
                null,
                f.mass(),
                null,
                AdditionStage.AFTER_COOK,
                List.of(Phrase.of(
                        "Melted and warm, stirred in until no streak is left: where the cook left no lye over,"
                                + " it stays the fat that it is")),
                null,
                log.of(Entry.Added.class)
                        .filter(a -> unused(a.id())
                                && a.entry().what().isSubstance(f.fat().id(), name))
                        .findFirst()
                        .map(a -> minute(use(a.id(), a.at())))));
    }

    private void add(AdditivePortion a, @Nullable String portion, AdditionStage when) {
        Additive additive = a.additive();
        Optional<Double> done = log.of(Entry.Added.class)
                .filter(x -> unused(x.id())
                        && x.entry().what().isSubstance(additive.id(), additive.name())
                        && goesTo(x.entry(), portion))
                .findFirst()
                .map(x -> minute(use(x.id(), x.at())));
        steps.add(new BatterStep(
                BatterStep.Kind.ADD,
                additive.name(),
                additive,
                a.mass(),
                portion,
                when,
                heeds(a, portion, when),
                null,
                done));
    }

    private List<Phrase> heeds(AdditivePortion a, @Nullable String portion, AdditionStage when) {
        List<Phrase> heeds = new ArrayList<>();
        Additive additive = a.additive();
        boolean intoBatter =
                when == AdditionStage.EMULSION || when == AdditionStage.TRACE || when == AdditionStage.LAST;
        boolean divided = plan.pouring().portioning().way() != Portioning.Way.WHOLE;
        if (additive.wantsWetting() && intoBatter) {
            heeds.add(Phrase.of(
                    "Wet it first, in {} of water or of the batch\u2019s own fat; dry it clumps",
                    a.mass().times(WETTING)));
        }
        if (when == AdditionStage.LAST) {
            heeds.add(Phrase.of("On purpose: stirred in by hand, then straight into the mould"));
        } else if (additive.isMover() && intoBatter) {
            heeds.add(
                    portion == null
                            ? Phrase.of(
                                    "May seize it within a minute or two: last of all, by hand, then straight into the"
                                            + " mould")
                            : Phrase.of("Only into this part, held back: by hand, then straight into the mould"));
        } else if (additive.effects().contains("ricing_possible") && intoBatter) {
            heeds.add(Phrase.of(
                    "May rice when the batter is cool: thinned with a spoon of batter first, stirred by hand"));
        }
        if (additive.isFragrance() && divided && portion == null && when == AdditionStage.TRACE) {
            heeds.add(Phrase.of(
                    "A divided batter: next time into the fats before the lye, so that it need not be stirred in now"));
        }
        return heeds;
    }

    private Optional<Double> taken(String name) {
        return log.first(Entry.PortionTaken.class, t -> t.portion().isCalled(name))
                .map(t -> minute(t.at()));
    }

    /** Whether an addition was for this portion: one that names none is for whoever has it on the list. */
    private static boolean goesTo(Entry.Added added, @Nullable String portion) {
        return added.portion() == null || portion != null && added.portion().isCalled(portion);
    }

    private boolean unused(String line) {
        return !used.contains(line);
    }

    private Instant use(String line, Instant at) {
        used.add(line);
        return at;
    }

    private double minute(Instant at) {
        return lyeIn == null ? 0 : Duration.between(lyeIn, at).toMillis() / 60_000.0;
    }

    private static boolean isLiquid(Entry.Added added, LiquidPortion l) {
        return l.liquid().id().equals(added.what().id())
                || added.what().isCalled(l.liquid().name());
    }
}
