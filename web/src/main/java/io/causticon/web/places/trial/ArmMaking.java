package io.causticon.web.places.trial;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.plan.Aspect;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.plan.Process;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.model.said.notation.Units;
import io.causticon.core.model.said.note.NotedLine;
import io.causticon.core.model.said.note.NotedLine.What;
import io.causticon.core.model.said.note.RecipeNote;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.core.quantity.Share;
import io.causticon.core.science.formula.PlanCheck;
import io.causticon.core.science.trial.ArmPlan;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.recipe.RecipeService;
import io.causticon.web.store.shelf.ShelfService;
import io.causticon.web.store.trial.Trials;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import org.springframework.stereotype.Component;

/** Plans the arms of a trial from one recipe, in one go: cups of one batter, or batches that differ in one thing. */
@Component
class ArmMaking {

    private static final int MOST_ARMS = 24;
    private static final int LONGEST_NAME = 80;
    private static final String THINGS = "things";
    private static final Share MOST_DOSE = Share.percent(50);
    private static final Mass LEAST_FATS = Mass.grams(20);
    private static final Mass MOST_FATS = Mass.grams(20_000);
    private static final Map<String, Process> ROADS = Map.of(
            "cold",
            Process.COLD,
            "cold process",
            Process.COLD,
            "oven",
            Process.OVEN,
            "in the oven",
            Process.OVEN,
            "hot",
            Process.HOT,
            "hot process",
            Process.HOT,
            "cooked",
            Process.HOT);
    private static final Map<What, String> KINDS =
            Map.of(What.FAT, "a fat", What.LIQUID, "a liquid", What.ADDITIVE, "an additive");

    private final RecipeService recipes;
    private final ShelfService shelf;

    ArmMaking(RecipeService recipes, ShelfService shelf) {
        this.recipes = recipes;
        this.shelf = shelf;
    }

    /** A recipe to make arms from. */
    record Choice(String id, String name) {}

    List<Choice> choices() {
        return recipes.inUse().stream()
                .filter(r -> !r.plan().isRework())
                .map(r -> new Choice(r.recipe().toString(), r.plan().name()))
                .toList();
    }

    Optional<UUID> recipe(TrialForm form) {
        return choices().stream()
                .map(Choice::id)
                .filter(TrialForm.trimmed(form.recipe())::equals)
                .findFirst()
                .map(UUID::fromString);
    }

    /** Arms as they are asked for, the control first; what keeps them from being made is told at its field. */
    List<Trials.Arm> arms(TrialForm form, Maker maker, Problems problems) {
        Optional<UUID> recipe = recipe(form);
        if (recipe.isEmpty()) {
            problems.add(
                    "recipe",
                    TrialForm.trimmed(form.recipe()).isEmpty() ? ProblemKey.MISSING : ProblemKey.NOT_A_CHOICE,
                    TrialForm.trimmed(form.recipe()));
            return List.of();
        }
        Aspect.Factor kind = form.factorKind().orElse(Aspect.Factor.OTHER);
        if (kind == Aspect.Factor.OTHER) {
            problems.add("kind", ProblemKey.NOT_A_CHOICE, "something else");
            return List.of();
        }
        BatchPlan base = recipes.latest(recipe.get()).plan();
        List<String> lines = form.lines();
        boolean inCups = "CUPS".equals(form.way()) && (kind == Aspect.Factor.LIQUID || kind == Aspect.Factor.ADDITIVE);
        int least = kind == Aspect.Factor.ADDITIVE ? 1 : 2;
        if (lines.isEmpty()) {
            problems.add(THINGS, ProblemKey.MISSING);
        } else if (lines.size() < least) {
            problems.add(THINGS, ProblemKey.ONE_ARM);
        } else if (lines.size() > MOST_ARMS) {
            problems.add(THINGS, ProblemKey.TOO_MANY, lines.size(), MOST_ARMS);
        }
        Mass fats = fats(form, base, maker, problems);
        Share dose = kind == Aspect.Factor.ADDITIVE || inCups ? dose(form, problems) : Share.NONE;
        List<Trials.Arm> arms = problems.isEmpty()
                ? planned(new Asked(kind, inCups, base, fats, dose, maker.units(), shelf.substances()), lines, problems)
                : List.of();
        return problems.isEmpty() ? controlFirst(arms, TrialForm.trimmed(form.control()), problems) : List.of();
    }

    private static Mass fats(TrialForm form, BatchPlan base, Maker maker, Problems problems) {
        String typed = TrialForm.trimmed(form.fats());
        Mass fats = typed.isEmpty()
                ? base.formula().fatMass()
                : problems.take(() -> MassNotation.read("fats", typed, maker.units()), Mass.ZERO);
        if (problems.isEmpty() && fats.compareTo(LEAST_FATS) < 0) {
            problems.add("fats", ProblemKey.TOO_LOW, "The fats", fats, LEAST_FATS);
        } else if (fats.compareTo(MOST_FATS) > 0) {
            problems.add("fats", ProblemKey.TOO_HIGH, "The fats", fats, MOST_FATS);
        }
        return fats;
    }

    private static Share dose(TrialForm form, Problems problems) {
        String typed = TrialForm.trimmed(form.dose()).replaceAll("\\s*%$", "");
        if (typed.isEmpty()) {
            problems.add("dose", ProblemKey.MISSING);
            return Share.NONE;
        }
        Share dose = Share.percent(problems.take(() -> NumberNotation.read("dose", typed), 0.0));
        if (problems.isEmpty() && !dose.isPositive()) {
            problems.add("dose", ProblemKey.TOO_LOW, "The dose", dose, Share.NONE);
        } else if (dose.compareTo(MOST_DOSE) > 0) {
            problems.add("dose", ProblemKey.TOO_HIGH, "The dose", dose, MOST_DOSE);
        }
        return dose;
    }

    /** What all arms have in common. */
    private record Asked(
            Aspect.Factor kind,
            boolean inCups,
            BatchPlan base,
            Mass fats,
            Share dose,
            Units units,
            Catalogue catalogue) {}

    private List<Trials.Arm> planned(Asked a, List<String> lines, Problems problems) {
        if (a.inCups()) {
            BatchPlan cups = a.kind() == Aspect.Factor.LIQUID
                    ? ArmPlan.cupsOfLiquids(
                            ArmPlan.as(a.base(), a.fats()),
                            called(lines, What.LIQUID, a, problems, a.catalogue()::liquid),
                            a.dose())
                    : ArmPlan.cupsOfAdditives(
                            ArmPlan.as(a.base(), a.fats()),
                            called(lines, What.ADDITIVE, a, problems, a.catalogue()::additive),
                            a.dose());
            BatchPlan plan = cups.named(named(a, ""));
            check(plan, problems);
            return plan.pouring().portioning().portions().stream()
                    .map(Portion::name)
                    .map(n -> Trials.Arm.toMake(plan, n, n, 1))
                    .toList();
        }
        List<ArmPlan.Calling<BatchPlan>> plans = switch (a.kind()) {
            case FAT ->
                plans(
                        called(lines, What.FAT, a, problems, a.catalogue()::fat),
                        f -> ArmPlan.ofOneFat(a.base(), f, a.fats()));
            case LIQUID ->
                plans(
                        called(lines, What.LIQUID, a, problems, a.catalogue()::liquid),
                        l -> ArmPlan.withLiquid(a.base(), l, a.fats()));
            case ADDITIVE ->
                withPlain(
                        a,
                        plans(
                                called(lines, What.ADDITIVE, a, problems, a.catalogue()::additive),
                                x -> ArmPlan.withAdditive(a.base(), x, a.dose(), a.fats())));
            case FAT_LEFT ->
                each(
                        lines,
                        problems,
                        l -> ArmPlan.withSuperfat(
                                a.base(),
                                Share.percent(NumberNotation.read(THINGS, l.replaceAll("\\s*%$", ""))),
                                a.fats()));
            case WARMTH ->
                each(
                        lines,
                        problems,
                        l -> ArmPlan.mixedAt(
                                a.base(),
                                TemperatureNotation.readAt(MeasurementPoint.BATTER, THINGS, l, a.units()),
                                a.fats()));
            case METHOD -> each(lines, problems, l -> ArmPlan.by(a.base(), road(l), a.fats()));
            case OTHER -> List.of();
        };
        List<Trials.Arm> arms = new ArrayList<>();
        for (ArmPlan.Calling<BatchPlan> plan : plans) {
            BatchPlan named = plan.what().named(named(a, plan.name()));
            check(named, problems);
            arms.add(Trials.Arm.toMake(named, "", plan.name(), arms.size() + 1));
        }
        return arms;
    }

    private static String named(Asked a, String arm) {
        String name = a.base().name() + (arm.isEmpty() ? ", in cups" : ", " + arm);
        return name.substring(0, Math.min(LONGEST_NAME, name.length()));
    }

    private static List<ArmPlan.Calling<BatchPlan>> withPlain(Asked a, List<ArmPlan.Calling<BatchPlan>> others) {
        List<ArmPlan.Calling<BatchPlan>> all = new ArrayList<>();
        all.add(new ArmPlan.Calling<>(ArmPlan.PLAIN, ArmPlan.as(a.base(), a.fats())));
        all.addAll(others);
        return all;
    }

    private static <T> List<ArmPlan.Calling<BatchPlan>> plans(
            List<ArmPlan.Calling<T>> called, Function<T, BatchPlan> plan) {
        return called.stream()
                .map(c -> new ArmPlan.Calling<>(c.name(), plan.apply(c.what())))
                .toList();
    }

    private static List<ArmPlan.Calling<BatchPlan>> each(
            List<String> lines, Problems problems, Function<String, BatchPlan> plan) {
        List<ArmPlan.Calling<BatchPlan>> plans = new ArrayList<>();
        for (String line : lines) {
            try {
                plans.add(new ArmPlan.Calling<>(line, plan.apply(line)));
            } catch (ProblemsException e) {
                problems.addAll(
                        e.problems().stream().map(p -> p.movedTo(THINGS)).toList());
            }
        }
        return plans;
    }

    private static Process road(String typed) {
        Process road = ROADS.get(typed.toLowerCase(Locale.ROOT));
        if (road == null) {
            throw ProblemsException.of(THINGS, ProblemKey.NOT_A_CHOICE, typed);
        }
        return road;
    }

    /** What lines call something of one kind, each as the maker calls it. */
    private static <T> List<ArmPlan.Calling<T>> called(
            List<String> lines, What kind, Asked a, Problems problems, Function<String, T> byId) {
        List<ArmPlan.Calling<T>> found = new ArrayList<>();
        for (String line : lines) {
            NotedLine noted = RecipeNote.named(line, a.catalogue());
            if (noted.what().isEmpty() || noted.id().isEmpty()) {
                problems.add(
                        THINGS,
                        noted.maybe().isEmpty() ? ProblemKey.UNKNOWN_SUBSTANCE : ProblemKey.SUBSTANCE_MAYBE,
                        line,
                        String.join(", ", noted.maybe()));
            } else if (!noted.is(kind)) {
                problems.add(
                        THINGS,
                        ProblemKey.ANOTHER_KIND,
                        noted.name(),
                        KINDS.getOrDefault(noted.what().get(), "something else"),
                        a.kind().words());
            } else {
                found.add(new ArmPlan.Calling<>(line, byId.apply(noted.id())));
            }
        }
        return found;
    }

    private static void check(BatchPlan plan, Problems problems) {
        PlanCheck.of(plan).all().stream().findFirst().ifPresent(p -> problems.add(p.movedTo(THINGS)));
    }

    private static List<Trials.Arm> controlFirst(List<Trials.Arm> arms, String control, Problems problems) {
        Optional<Trials.Arm> first = control.isEmpty()
                ? arms.stream().findFirst()
                : arms.stream().filter(a -> a.name().equalsIgnoreCase(control)).findFirst();
        if (first.isEmpty()) {
            problems.add(
                    "control",
                    ProblemKey.NO_CONTROL,
                    String.join(", ", arms.stream().map(Trials.Arm::name).toList()));
        }
        return arms.stream()
                .sorted(Comparator.comparing(a -> !first.equals(Optional.of(a))))
                .toList();
    }
}
