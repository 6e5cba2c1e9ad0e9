package io.causticon.web.trial;

import io.causticon.core.diagnosis.Diagnosis;
import io.causticon.core.diagnosis.NextTest;
import io.causticon.core.formula.Portion;
import io.causticon.core.formula.PortionAmounts;
import io.causticon.core.formula.Portions;
import io.causticon.core.history.Change;
import io.causticon.core.history.Chapter;
import io.causticon.core.observation.BarStock;
import io.causticon.core.observation.Bars;
import io.causticon.core.observation.BatchLog;
import io.causticon.core.observation.Entry;
import io.causticon.core.observation.Named;
import io.causticon.core.observation.SensoryScale;
import io.causticon.core.observation.WashFeel;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Interval;
import io.causticon.core.trial.Effect;
import io.causticon.core.trial.PanelAge;
import io.causticon.core.trial.PanelEffects;
import io.causticon.core.trial.PanelOrder;
import io.causticon.core.trial.Sitting;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchService;
import io.causticon.web.batch.BatchSummary;
import io.causticon.web.batch.Summaries;
import io.causticon.web.casebook.CasebookService;
import io.causticon.web.shared.ChangeWords;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.Guard;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Reads trials from the logs, words them, and knows whose turn it is. */
@Service
class TrialPages {

    private static final int MANY = 60;
    private static final int LONGEST_QUESTION = 300;
    private static final int LONGEST_FACTOR = 80;
    private static final int MOST_ARMS = 24;
    private static final int MOST_TOLD = 3;
    private static final double TELLING_POINTS = 0.005;

    private final BatchService batches;
    private final Summaries summaries;
    private final CasebookService casebook;
    private final Clock clock;

    TrialPages(BatchService batches, Summaries summaries, CasebookService casebook, Clock clock) {
        this.batches = batches;
        this.summaries = summaries;
        this.casebook = casebook;
        this.clock = clock;
    }

    /** A batch that was divided, to choose from. */
    record Divided(String id, String name, String parts) {}

    /** Those of the last ones that were divided. */
    List<Divided> divided() {
        return summaries.page(Summaries.Which.ALL, "", Optional.empty(), Optional.empty(), MANY).batches().stream()
                .flatMap(s -> Guard.of(s.code(), () -> batches.get(s.id())).stream())
                .filter(b -> b.plan().pouring().portioning().portions().size() > 1)
                .map(b -> new Divided(b.id().toString(), b.name() + " " + b.code(), parts(b).stream().map(Portion::name).collect(Collectors.joining(", "))))
                .toList();
    }

    private static List<Portion> parts(Batch batch) {
        return batch.plan().pouring().portioning().portions();
    }

    /** What is compared, the control first; problems stand at the fields of the form. */
    List<Trials.Arm> arms(TrialForm form, Problems problems) {
        text("question", form.question(), LONGEST_QUESTION, problems);
        text("factor", form.factor(), LONGEST_FACTOR, problems);
        List<Trials.Arm> arms = new ArrayList<>();
        Optional<BatchId> divided = BatchId.read(TrialForm.trimmed(form.batch()));
        if (divided.isPresent()) {
            parts(batches.get(divided.get())).stream().map(Portion::name).distinct().forEach(p -> arms.add(new Trials.Arm(divided.get(), p, p)));
        } else {
            Arrays.stream(TrialForm.trimmed(form.codes()).split("[,;\\s]+")).filter(c -> !c.isEmpty()).distinct().limit(MOST_ARMS).forEach(code -> called(code).ifPresentOrElse(
                    b -> arms.add(new Trials.Arm(b.id(), "", arms.stream().anyMatch(a -> a.name().equals(b.name())) ? b.name() + " " + b.code() : b.name())),
                    () -> problems.add("codes", ProblemKey.NO_SUCH_CODE, code)));
        }
        if (arms.size() < 2 && problems.all().stream().noneMatch(p -> p.field().equals("codes"))) {
            problems.add(divided.isPresent() ? "batch" : "codes", ProblemKey.TOO_FEW_ARMS, arms.size());
        }
        String control = TrialForm.trimmed(form.control());
        Optional<Trials.Arm> first = arms.stream().filter(a -> a.name().equalsIgnoreCase(control)).findFirst();
        if (first.isEmpty() && arms.size() > 1) {
            problems.add("control", ProblemKey.NO_CONTROL, arms.stream().map(Trials.Arm::name).collect(Collectors.joining(", ")));
        }
        arms.sort(Comparator.comparing((Trials.Arm a) -> !first.equals(Optional.of(a))));
        return arms;
    }

    private Optional<BatchSummary> called(String code) {
        return summaries.page(Summaries.Which.ALL, code, Optional.empty(), Optional.empty(), MANY).batches().stream().filter(b -> b.code().equalsIgnoreCase(code)).findFirst();
    }

    private static void text(String field, @Nullable String typed, int longest, Problems problems) {
        if (TrialForm.trimmed(typed).isEmpty()) {
            problems.add(field, ProblemKey.MISSING);
        } else if (TrialForm.trimmed(typed).length() > longest) {
            problems.add(field, ProblemKey.TOO_LONG, TrialForm.trimmed(typed).length(), longest);
        }
    }

    /** An arm with its batch as it stands; empty where that cannot be read. */
    private record Standing(Trials.Arm arm, Optional<Batch> batch) {

        Optional<Instant> cut() {
            return batch.flatMap(b -> b.log().first(Entry.Cut.class).map(BatchLog.Timed::at)
                    .or(() -> b.log().first(Entry.Unmoulded.class).map(BatchLog.Timed::at)));
        }

        boolean isMeantBy(Entry.Judged judged) {
            Bars on = judged.on();
            return arm.portion().isEmpty() || on != null && on.portion() != null && on.portion().isCalled(arm.portion());
        }

        List<Sitting> sittings() {
            Instant from = cut().orElse(Instant.MAX);
            Map<String, List<Sitting>> last = new LinkedHashMap<>();
            batch.ifPresent(b -> b.log().of(Entry.Judged.class).filter(j -> isMeantBy(j.entry()) && !j.at().isBefore(from)).forEach(j -> {
                String age = PanelAge.wordsFor(Duration.between(from, j.at()));
                last.put(j.entry().judge() + "\u0000" + age, j.entry().grades().stream()
                        .map(g -> new Sitting(arm.name(), j.entry().judge(), age, j.entry().place(), g.scale(), g.grade()))
                        .toList());
            }));
            return last.values().stream().flatMap(List::stream).toList();
        }
    }

    private List<Standing> standing(Trials.Trial trial) {
        return trial.arms().stream().map(a -> new Standing(a, Guard.of("Batch " + a.batch(), () -> batches.get(a.batch())))).toList();
    }

    /** Why nobody washes with it now; empty where it may be. What the gate holds is on no hand. */
    private String keptFrom(Standing s, Map<BatchId, NextTest> tests, Instant now) {
        if (s.batch().isEmpty()) {
            return "its batch cannot be read";
        }
        Batch batch = s.batch().get();
        if (s.cut().isEmpty()) {
            return "not cut yet";
        }
        if (batch.isHeld()) {
            return "held";
        }
        Bars bars = s.arm().portion().isEmpty() ? Bars.some(1) : Bars.some(1).of(Named.called(s.arm().portion()));
        Optional<Entry.SetApart> apart = BarStock.of(batch.log()).apart(bars);
        if (apart.isPresent()) {
            return "set apart: " + apart.get().reason();
        }
        NextTest next = tests.computeIfAbsent(batch.id(), id -> {
            Diagnosis diagnosis = casebook.examine(batch);
            return NextTest.of(batch.facts(now), diagnosis, casebook.gate(batch, diagnosis));
        });
        if (next.keptFromSkin()) {
            return "a measurement or two days more come first";
        }
        boolean calm = batch.log().of(Entry.WashTested.class).anyMatch(w -> w.entry().feel() == WashFeel.CALM && mayBeOf(w.entry().on(), s.arm()));
        return calm ? "" : "one calm wash of its own comes first";
    }

    private static boolean mayBeOf(@Nullable Bars on, Trials.Arm arm) {
        return on == null || arm.portion().isEmpty() || on.mayBeOf(arm.portion());
    }

    TrialPage page(Trials.Trial trial, Maker maker) {
        Instant now = clock.instant();
        Formats formats = maker.formats();
        List<Standing> standing = standing(trial);
        Map<BatchId, NextTest> tests = new LinkedHashMap<>();
        List<Sitting> sittings = standing.stream().flatMap(s -> s.sittings().stream()).toList();
        List<Effect> effects = PanelEffects.of(sittings, trial.control().name());
        List<TrialPage.ArmWords> arms = standing.stream()
                .map(s -> new TrialPage.ArmWords(
                        s.arm().name(), "/batch/" + s.arm().batch() + "/cure", s.batch().map(b -> b.name() + " " + b.code()).orElse("unreadable"),
                        s.cut().map(c -> Formats.duration(Duration.between(c, now)) + " since the cut").orElse("not cut"), keptFrom(s, tests, now),
                        s.arm().equals(trial.control())))
                .toList();
        return new TrialPage(
                trial.id().toString(), trial.question(), trial.factor(), trial.coded(), arms, others(standing, formats), panels(standing, sittings, formats),
                results(effects), effects.stream().map(TrialPages::row).toList(), sentence(effects, sittings, trial.control().name()), arms.stream().filter(a -> a.kept().isEmpty()).count() > 1);
    }

    private static List<TrialPage.Panel> panels(List<Standing> standing, List<Sitting> sittings, Formats formats) {
        Optional<Instant> first = standing.stream().flatMap(s -> s.cut().stream()).min(Comparator.naturalOrder());
        Map<String, String> judged = new LinkedHashMap<>();
        Arrays.stream(PanelAge.values()).forEach(a -> judged.put(a.words(), ""));
        sittings.forEach(s -> judged.merge(s.age(), s.judge(), (all, one) -> Arrays.asList(all.split(", ")).contains(one) ? all : all.isEmpty() ? one : all + ", " + one));
        return judged.entrySet().stream()
                .map(e -> new TrialPage.Panel(
                        e.getKey(),
                        Arrays.stream(PanelAge.values()).filter(a -> a.words().equals(e.getKey())).findFirst()
                                .flatMap(a -> first.map(f -> formats.date(f.plus(a.due()))))
                                .orElse("when it was"),
                        e.getValue().isEmpty() ? "nobody yet" : e.getValue()))
                .toList();
    }

    private static List<TrialPage.Result> results(List<Effect> effects) {
        Map<SensoryScale, List<Effect>> scales = new LinkedHashMap<>();
        effects.forEach(e -> scales.computeIfAbsent(e.scale(), s -> new ArrayList<>()).add(e));
        return scales.entrySet().stream().map(s -> new TrialPage.Result(s.getKey().question(), EffectChart.of(s.getKey().question(), s.getValue()))).toList();
    }

    private static String signed(double value) {
        return (value > 0 ? "+" : "") + Formats.number(value, 1);
    }

    private static TrialPage.Row row(Effect e) {
        Interval i = e.interval();
        return new TrialPage.Row(
                e.scale().word(), e.age(), e.arm(), signed(e.difference()), i == null ? "one judge once: nothing tells" : signed(i.low()) + " to " + signed(i.high()),
                i == null ? "" : Formats.probability(e.chanceReal()), e.found() || i == null ? "" : e.roundsMissing() == 0 ? "" : e.roundsMissing() + " rounds more");
    }

    /** What it comes to, in a sentence. */
    private static String sentence(List<Effect> effects, List<Sitting> sittings, String control) {
        if (sittings.isEmpty()) {
            return "Nobody has judged yet.";
        }
        Map<String, List<Effect>> found = effects.stream()
                .filter(Effect::found)
                .sorted(Comparator.comparingDouble((Effect e) -> -Math.abs(e.difference())))
                .collect(Collectors.groupingBy(e -> e.arm() + " at " + e.age(), LinkedHashMap::new, Collectors.toList()));
        if (!found.isEmpty()) {
            return "Against " + control + ": " + found.entrySet().stream().limit(MOST_TOLD)
                    .map(f -> f.getKey() + " " + f.getValue().stream().limit(MOST_TOLD).map(TrialPages::told).collect(Collectors.joining(", ")))
                    .collect(Collectors.joining("; ")) + (found.size() > MOST_TOLD ? "; and more below." : ".");
        }
        return effects.stream().filter(e -> e.roundsMissing() > 0 && e.interval() != null).min(Comparator.comparingInt(Effect::roundsMissing))
                .map(e -> "Nothing stands out yet. Nearest is " + e.arm() + " in " + e.scale().word() + " at " + e.age() + ": some " + e.roundsMissing() + " rounds more would tell.")
                .orElse("Nothing stands out yet.");
    }

    private static String told(Effect e) {
        return e.scale().word() + " " + signed(e.difference()) + " (" + row(e).interval() + ")";
    }

    /** What else differs from the control, whatever is asked about. */
    private List<String> others(List<Standing> standing, Formats formats) {
        Standing control = standing.get(0);
        List<String> told = new ArrayList<>();
        for (Standing s : standing.subList(1, standing.size())) {
            if (s.batch().isEmpty() || control.batch().isEmpty()) {
                continue;
            }
            List<String> differs = s.arm().batch().equals(control.arm().batch())
                    ? inside(s.batch().get(), control.arm().portion(), s.arm().portion(), formats)
                    : between(control.batch().get(), s.batch().get(), formats);
            if (!differs.isEmpty()) {
                told.add(s.arm().name() + ": " + String.join(", ", differs));
            }
        }
        return told;
    }

    private List<String> between(Batch control, Batch other, Formats formats) {
        Optional<Chapter> one = Chapter.of(control.facts(clock.instant()));
        Optional<Chapter> two = Chapter.of(other.facts(clock.instant()));
        return one.isEmpty() || two.isEmpty()
                ? List.of()
                : Change.between(one.get(), two.get()).stream().map(c -> ChangeWords.change(c, formats)).toList();
    }

    private static List<String> inside(Batch batch, String control, String other, Formats formats) {
        if (!Portions.check(batch.plan()).isEmpty()) {
            return List.of();
        }
        List<PortionAmounts> amounts = Portions.of(batch.plan()).amounts();
        Optional<PortionAmounts> one = amounts.stream().filter(a -> a.portion().name().equals(control)).findFirst();
        Optional<PortionAmounts> two = amounts.stream().filter(a -> a.portion().name().equals(other)).findFirst();
        if (one.isEmpty() || two.isEmpty()) {
            return List.of();
        }
        List<String> differs = new ArrayList<>();
        two.get().portion().liquids().forEach(l -> differs.add("with " + l.liquid().name()));
        two.get().portion().additives().forEach(a -> differs.add("with " + a.additive().name()));
        if (Math.abs(two.get().superfat().fraction() - one.get().superfat().fraction()) >= TELLING_POINTS) {
            differs.add("superfat " + formats.percent(one.get().superfat(), 1) + " to " + formats.percent(two.get().superfat(), 1));
        }
        if (Math.abs(two.get().concentration().fraction() - one.get().concentration().fraction()) >= TELLING_POINTS) {
            differs.add("lye concentration " + formats.percent(one.get().concentration(), 1) + " to " + formats.percent(two.get().concentration(), 1));
        }
        return differs;
    }

    /**
     * Whose turn it is before a judge.
     *
     * @return empty when this judge has judged all that may be washed with at this age; problems where none may be
     */
    Optional<TrialPage.Turn> turn(Trials.Trial trial, String judge, Problems problems) {
        Instant now = clock.instant();
        List<Standing> standing = standing(trial);
        Map<BatchId, NextTest> tests = new LinkedHashMap<>();
        List<Sitting> sittings = standing.stream().flatMap(s -> s.sittings().stream()).toList();
        List<String> rounds = sittings.stream().map(s -> s.judge() + "\u0000" + s.age()).distinct().toList();
        String age = standing.stream().flatMap(s -> s.cut().stream()).findFirst().map(c -> PanelAge.wordsFor(Duration.between(c, now))).orElse("");
        int known = rounds.indexOf(judge + "\u0000" + age);
        List<Integer> order = PanelOrder.of(standing.size(), known < 0 ? rounds.size() : known).stream()
                .filter(i -> keptFrom(standing.get(i), tests, now).isEmpty())
                .filter(i -> standing.get(i).cut().map(c -> PanelAge.wordsFor(Duration.between(c, now)).equals(age)).orElse(false))
                .toList();
        if (order.size() < 2) {
            problems.add("judge", ProblemKey.NOTHING_TO_JUDGE);
            return Optional.empty();
        }
        for (int place = 0; place < order.size(); place++) {
            Trials.Arm arm = standing.get(order.get(place)).arm();
            boolean done = sittings.stream().anyMatch(s -> s.arm().equals(arm.name()) && s.judge().equals(judge) && s.age().equals(age));
            if (!done) {
                String shown = trial.coded() ? "Bar " + (char) ('A' + (order.get(place) * 7 + 3) % 26) : arm.name();
                return Optional.of(new TrialPage.Turn(place + 1, order.size(), shown, judge, order.get(place)));
            }
        }
        problems.add("judge", ProblemKey.JUDGED_ALREADY, judge, age);
        return Optional.empty();
    }

    /** What a judge's grades of one arm are as a line of its batch. */
    Entry.Judged judged(Trials.Trial trial, TrialPage.Turn turn, Map<String, String> typed, Problems problems) {
        List<Entry.Judged.Grade> grades = Arrays.stream(SensoryScale.values())
                .map(s -> typed.getOrDefault(s.word(), "").matches("[1-5]") ? new Entry.Judged.Grade(s, Integer.parseInt(typed.get(s.word()))) : null)
                .filter(Objects::nonNull)
                .toList();
        if (grades.isEmpty()) {
            problems.add("grades", ProblemKey.NO_GRADE);
        }
        return new Entry.Judged(turn.judge(), turn.place(), turn.of(), grades, bars(trial, turn));
    }

    /**
     * Keeps a judge's grades; of two that come in the same moment for one arm and age the first is kept.
     *
     * @throws ProblemsException for the second
     */
    void keep(Trials.Trial trial, TrialPage.Turn turn, Entry.Judged entry, Maker maker, String key) {
        Trials.Arm arm = trial.arms().get(turn.arm());
        Instant now = clock.instant();
        batches.logIf(arm.batch(), batch -> {
            Standing standing = new Standing(arm, Optional.of(batch));
            String age = standing.cut().map(c -> PanelAge.wordsFor(Duration.between(c, now))).orElse("");
            if (standing.sittings().stream().anyMatch(s -> s.judge().equals(turn.judge()) && s.age().equals(age))) {
                throw ProblemsException.of("judge", ProblemKey.JUDGED_ALREADY, turn.judge(), age);
            }
        }, List.of(entry), now, maker.displayName(), key);
    }

    /** The bars that are before a judge; null for any of a whole batch. */
    @Nullable Bars bars(Trials.Trial trial, TrialPage.Turn turn) {
        Trials.Arm arm = trial.arms().get(turn.arm());
        return arm.portion().isEmpty() ? null : Bars.some(1).of(batches.get(arm.batch()).names().portion(arm.portion()));
    }
}
