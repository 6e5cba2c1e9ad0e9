package io.causticon.web.places.trial;

import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.plan.Aspect;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.history.Change;
import io.causticon.core.science.history.Chapter;
import io.causticon.core.science.history.Measure;
import io.causticon.core.science.trial.Effect;
import io.causticon.core.science.trial.PanelEffects;
import io.causticon.core.science.trial.PanelPlan;
import io.causticon.core.science.trial.PlanDifference;
import io.causticon.core.science.trial.Sitting;
import io.causticon.web.shared.ChangeWords;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.Guard;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.shelf.ShelfService;
import io.causticon.web.store.trial.Trials;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.EnumSet;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Reads questions as they are typed, and words how they stand. */
@Service
class TrialPages {

    private static final int MANY = 60;
    private static final int LONGEST_QUESTION = 300;
    private static final int LONGEST_FACTOR = 80;
    private static final int MOST_ARMS = 24;

    /** Between these hands tell water from water (a judgement). */
    private static final double SAME_WATER_KELVIN = 5;

    /** What plans tell of already. */
    private static final Set<Measure> PLANNED = EnumSet.of(Measure.LYE_CONCENTRATION, Measure.SUPERFAT);

    private static final String APART = " Made weeks apart, not all were judged on one day: a judge's day is in it.";

    /** What spoils the question is told first. */
    private static final List<String> ORDER = List.of("spoils", "asked", "comes", "hardly");

    private final BatchService batches;
    private final Summaries summaries;
    private final Standings standings;
    private final ShelfService shelf;
    private final Clock clock;

    TrialPages(BatchService batches, Summaries summaries, Standings standings, ShelfService shelf, Clock clock) {
        this.batches = batches;
        this.summaries = summaries;
        this.standings = standings;
        this.shelf = shelf;
        this.clock = clock;
    }

    /** A batch that was divided, to choose from. */
    record Divided(String id, String name, String parts) {}

    /** Those of the last ones that were divided. */
    List<Divided> divided() {
        return summaries.page(Summaries.Which.ALL, "", Optional.empty(), Optional.empty(), MANY).batches().stream()
                .flatMap(s -> Guard.of(s.code(), () -> batches.get(s.id())).stream())
                .filter(b -> b.plan().pouring().portioning().portions().size() > 1)
                .map(b -> new Divided(
                        b.id().toString(),
                        b.name() + " " + b.code(),
                        parts(b).stream().map(Portion::name).collect(Collectors.joining(", "))))
                .toList();
    }

    private static List<Portion> parts(Batch batch) {
        return batch.plan().pouring().portioning().portions();
    }

    /** What is asked; problems stand at the fields of the form. */
    static Trials.Asked asked(TrialForm form, Problems problems) {
        text("question", form.question(), LONGEST_QUESTION, problems);
        Aspect.Factor kind = form.factorKind().orElse(Aspect.Factor.OTHER);
        String words = TrialForm.trimmed(form.factor());
        if (kind == Aspect.Factor.OTHER || !words.isEmpty()) {
            text("factor", words, LONGEST_FACTOR, problems);
        }
        return new Trials.Asked(
                TrialForm.trimmed(form.question()),
                words.isEmpty() ? kind.words() : words,
                kind,
                form.coded() != null,
                null);
    }

    /** What is compared of what is there, the control first; problems stand at the fields of the form. */
    List<Trials.Arm> arms(TrialForm form, Problems problems) {
        List<Trials.Arm> arms = new ArrayList<>();
        Optional<BatchId> divided = BatchId.read(TrialForm.trimmed(form.batch()));
        if (divided.isPresent()) {
            parts(batches.get(divided.get())).stream()
                    .map(Portion::name)
                    .distinct()
                    .forEach(p -> arms.add(Trials.Arm.made(divided.get(), p, p)));
        } else {
            Arrays.stream(TrialForm.trimmed(form.codes()).split("[,;\\s]+"))
                    .filter(c -> !c.isEmpty())
                    .distinct()
                    .limit(MOST_ARMS)
                    .forEach(code -> called(code)
                            .ifPresentOrElse(
                                    b -> arms.add(Trials.Arm.made(
                                            b.id(),
                                            "",
                                            arms.stream().anyMatch(a -> a.name().equals(b.name()))
                                                    ? b.name() + " " + b.code()
                                                    : b.name())),
                                    () -> problems.add("codes", ProblemKey.NO_SUCH_CODE, code)));
        }
        if (arms.size() < 2 && problems.all().stream().noneMatch(p -> p.field().equals("codes"))) {
            problems.add(divided.isPresent() ? "batch" : "codes", ProblemKey.TOO_FEW_ARMS, arms.size());
        }
        String control = TrialForm.trimmed(form.control());
        Optional<Trials.Arm> first =
                arms.stream().filter(a -> a.name().equalsIgnoreCase(control)).findFirst();
        if (first.isEmpty() && arms.size() > 1) {
            problems.add(
                    "control",
                    ProblemKey.NO_CONTROL,
                    arms.stream().map(Trials.Arm::name).collect(Collectors.joining(", ")));
        }
        arms.sort(Comparator.comparing((Trials.Arm a) -> !first.equals(Optional.of(a))));
        return arms;
    }

    private Optional<BatchSummary> called(String code) {
        return summaries.page(Summaries.Which.ALL, code, Optional.empty(), Optional.empty(), MANY).batches().stream()
                .filter(b -> b.code().equalsIgnoreCase(code))
                .findFirst();
    }

    private static void text(String field, @Nullable String typed, int longest, Problems problems) {
        if (TrialForm.trimmed(typed).isEmpty()) {
            problems.add(field, ProblemKey.MISSING);
        } else if (TrialForm.trimmed(typed).length() > longest) {
            problems.add(field, ProblemKey.TOO_LONG, TrialForm.trimmed(typed).length(), longest);
        }
    }

    TrialPage page(Trials.Trial trial, Maker maker) {
        Instant now = clock.instant();
        Formats formats = maker.formats();
        List<ArmStanding> standing = standings.of(trial);
        List<Sitting> sittings = Standings.sittings(standing);
        List<Effect> effects = PanelEffects.of(sittings, trial.control().name());
        List<TrialPage.Other> others = others(standing, trial.asked().kind(), formats);
        return new TrialPage(
                trial.id().toString(),
                trial.question(),
                trial.factor(),
                arms(trial, standing, now, formats),
                pots(trial, formats),
                others,
                fair(others, trial),
                panels(standing, sittings, now, formats),
                water(standing, formats),
                TrialResults.charts(effects),
                effects.stream().map(TrialResults::row).toList(),
                TrialResults.sentence(
                                effects, !sittings.isEmpty(), trial.control().name())
                        + (sittings.isEmpty() || sitTogether(standing, now) ? "" : APART),
                TrialResults.changed(effects),
                sittings.isEmpty()
                        ? List.of()
                        : new TrialWorth(shelf.pantry().prices(), maker.currency()).words(standing, effects));
    }

    /** Whether all arms of an age sit on one day. */
    private static boolean sitTogether(List<ArmStanding> standing, Instant now) {
        List<PanelPlan> panels = Standings.panels(standing, now);
        return panels.stream().map(PanelPlan::age).distinct().count() == panels.size();
    }

    private List<TrialPage.ArmWords> arms(
            Trials.Trial trial, List<ArmStanding> standing, Instant now, Formats formats) {
        Standings.Hands hands = standings.hands(now);
        return standing.stream()
                .map(s -> new TrialPage.ArmWords(
                        s.arm().name(),
                        s.arm().batch().map(b -> "/batch/" + b + "/cure").orElse(""),
                        s.batch().map(b -> b.name() + " " + b.code()).orElse(""),
                        s.cut()
                                .map(c -> Formats.duration(Duration.between(c, now)) + " since the cut")
                                .orElse("not cut"),
                        needle(s),
                        hands.keepFrom(s).map(formats::phrase).orElse(""),
                        s.cut().isEmpty()
                                && s.arm().batch().isEmpty() == s.batch().isEmpty(),
                        s.arm().equals(trial.control())))
                .toList();
    }

    private static String needle(ArmStanding standing) {
        return standing.batch()
                .flatMap(b -> b.log()
                        .of(Entry.NeedleRead.class)
                        .map(BatchLog.Timed::entry)
                        .filter(n -> n.on() == null
                                || standing.arm().portion().isEmpty()
                                || n.on().mayBeOf(standing.arm().portion()))
                        .reduce((first, second) -> second))
                .map(n -> "needle " + Formats.number(n.millimetres(), 1) + " mm")
                .orElse("");
    }

    /** What is not begun yet, by pots. */
    private static List<TrialPage.Pot> pots(Trials.Trial trial, Formats formats) {
        Map<Integer, List<Trials.Arm>> pots = new TreeMap<>();
        trial.arms().stream()
                .filter(a -> a.batch().isEmpty())
                .forEach(a ->
                        pots.computeIfAbsent(a.pot(), p -> new ArrayList<>()).add(a));
        return pots.entrySet().stream()
                .map(e -> new TrialPage.Pot(
                        e.getKey(),
                        e.getValue().stream().map(Trials.Arm::name).collect(Collectors.joining(", ")),
                        e.getValue()
                                .get(0)
                                .plan()
                                .map(p -> what(p, e.getValue().size(), formats))
                                .orElse("its plan cannot be read")))
                .toList();
    }

    private static String what(BatchPlan plan, int arms, Formats formats) {
        return formats.mass(plan.formula().fatMass()) + " of fats" + (arms > 1 ? " in " + arms + " cups" : "");
    }

    private static List<TrialPage.Panel> panels(
            List<ArmStanding> standing, List<Sitting> sittings, Instant now, Formats formats) {
        List<TrialPage.Panel> panels = new ArrayList<>();
        Set<String> told = new LinkedHashSet<>();
        for (PanelPlan panel : Standings.panels(standing, now)) {
            told.add(panel.age().words());
            String judges = judges(sittings.stream()
                    .filter(s ->
                            s.age().equals(panel.age().words()) && panel.arms().contains(s.arm()))
                    .toList());
            String words = switch (panel.state()) {
                case JUDGED -> judges;
                case COMES -> "about " + formats.date(panel.due());
                case OPEN ->
                    (judges.isEmpty() ? "now" : judges + " so far") + ", until " + formats.date(panel.closes());
                case MISSED ->
                    (judges.isEmpty() ? "missed" : judges + ", not all of them") + ": it closed on "
                            + formats.date(panel.closes()) + ". What is judged later counts as the age it has then.";
            };
            boolean all = panel.arms().size() == standing.size();
            panels.add(new TrialPage.Panel(
                    panel.age().words(),
                    formats.date(panel.due()),
                    all ? "" : String.join(", ", panel.arms()),
                    panel.state().name().toLowerCase(Locale.ROOT),
                    words));
        }
        sittings.stream()
                .map(Sitting::age)
                .distinct()
                .filter(a -> !told.contains(a))
                .forEach(a -> panels.add(new TrialPage.Panel(
                        a,
                        "",
                        "",
                        "judged",
                        judges(sittings.stream().filter(s -> s.age().equals(a)).toList()) + ", between two panels")));
        return panels;
    }

    private static String judges(List<Sitting> sittings) {
        return sittings.stream().map(Sitting::judge).distinct().collect(Collectors.joining(", "));
    }

    /** In what it was judged, and whether that was one water. */
    private static String water(List<ArmStanding> standing, Formats formats) {
        List<Entry.Judged> judged = standing.stream()
                .flatMap(ArmStanding::judged)
                .map(BatchLog.Timed::entry)
                .toList();
        if (judged.isEmpty()) {
            return "";
        }
        DoubleSummaryStatistics warm = judged.stream()
                .flatMap(j -> Optional.ofNullable(j.water()).stream())
                .mapToDouble(Temperature::celsius)
                .summaryStatistics();
        DoubleSummaryStatistics hard = standing.stream()
                .flatMap(s -> s.batch().stream())
                .distinct()
                .flatMap(b -> b.log().of(Entry.WaterRead.class))
                .mapToDouble(w -> w.entry().milligramsPerLitre())
                .summaryStatistics();
        String hardness = hard.getCount() == 0
                ? "how hard it is, is not written down"
                : Formats.number(hard.getMin(), 0)
                        + (hard.getMax() > hard.getMin() ? " to " + Formats.number(hard.getMax(), 0) : "")
                        + " mg/l of lime";
        if (warm.getCount() == 0) {
            return "Water: nobody wrote down how warm it was; " + hardness + ".";
        }
        String from = formats.temperature(Temperature.celsius(warm.getMin()));
        String to = formats.temperature(Temperature.celsius(warm.getMax()));
        boolean apart = warm.getMax() - warm.getMin() > SAME_WATER_KELVIN;
        return "Water of " + (from.equals(to) ? from : from + " to " + to) + ", " + hardness + "."
                + (apart ? " That is not one water: warmth alone changes lather." : "")
                + (warm.getCount() < judged.size() ? " Not written down each time." : "");
    }

    /** What else differs from the control, whatever is asked about. */
    private List<TrialPage.Other> others(List<ArmStanding> standing, Aspect.Factor kind, Formats formats) {
        ArmStanding control = standing.get(0);
        List<TrialPage.Other> told = new ArrayList<>();
        for (ArmStanding s : standing.subList(1, standing.size())) {
            Set<TrialPage.Difference> differs = new LinkedHashSet<>();
            if (control.plan().isPresent() && s.plan().isPresent()) {
                PlanDifference.between(control.plan().get(), s.plan().get())
                        .forEach(d -> differs.add(new TrialPage.Difference(
                                formats.phrase(d.words()), bearing(d.aspect().bearing(kind)))));
            }
            if (control.batch().isPresent()
                    && s.batch().isPresent()
                    && !control.batch().get().id().equals(s.batch().get().id())) {
                made(control.batch().get(), s.batch().get())
                        .forEach(c -> differs.add(new TrialPage.Difference(ChangeWords.change(c, formats), "hardly")));
            }
            if (!differs.isEmpty()) {
                told.add(new TrialPage.Other(
                        s.arm().name(),
                        differs.stream()
                                .sorted(Comparator.comparingInt(d -> ORDER.indexOf(d.bearing())))
                                .toList()));
            }
        }
        return told;
    }

    private static String bearing(Aspect.Bearing bearing) {
        return switch (bearing) {
            case ASKED -> "asked";
            case COMES_WITH -> "comes";
            case SPOILS -> "spoils";
            case HARDLY -> "hardly";
        };
    }

    /** What the making of two batches has otherwise that no plan tells of. */
    private List<Change> made(Batch control, Batch other) {
        Instant now = clock.instant();
        Optional<Chapter> one = Chapter.of(control.facts(now));
        Optional<Chapter> two = Chapter.of(other.facts(now));
        if (one.isEmpty() || two.isEmpty()) {
            return List.of();
        }
        return Change.between(one.get(), two.get()).stream()
                .filter(c -> c instanceof Change.Moved m
                        ? !PLANNED.contains(m.measure())
                        : c instanceof Change.Switched s ? !s.what().equals("mould") : c instanceof Change.OtherLot)
                .toList();
    }

    private static String fair(List<TrialPage.Other> others, Trials.Trial trial) {
        List<String> spoilt = others.stream()
                .filter(o -> o.differences().stream().anyMatch(d -> d.bearing().equals("spoils")))
                .map(TrialPage.Other::arm)
                .toList();
        if (!spoilt.isEmpty()) {
            return "Not a clean question of " + trial.factor() + ": " + String.join(", ", spoilt)
                    + " differ in more, and hands may tell of that.";
        }
        if (trial.asked().kind() == Aspect.Factor.OTHER) {
            return "Whatever stands here besides what you ask about may be what hands tell of.";
        }
        boolean comes = others.stream()
                .anyMatch(
                        o -> o.differences().stream().anyMatch(d -> d.bearing().equals("comes")));
        return comes
                ? "A clean question of " + trial.factor() + ". What comes with it by itself is part of the answer."
                : others.isEmpty()
                        ? "Nothing that plans and logs tell of."
                        : "A clean question of " + trial.factor() + ".";
    }
}
