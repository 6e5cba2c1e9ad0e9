package io.causticon.web.places.trial;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.SensoryScale;
import io.causticon.core.model.said.entry.EntryCheck;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Temperature;
import io.causticon.core.science.trial.PanelAge;
import io.causticon.core.science.trial.PanelOrder;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Answers;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.trial.Trials;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;

/** Whose turn it is before a judge, and what is kept of it. */
@Service
class Rounds {

    /** After so many bars skin is tired (a judgement). */
    private static final int REST_AFTER = 6;

    private static final String WATER = "water";

    private final BatchService batches;
    private final Standings standings;
    private final Clock clock;

    Rounds(BatchService batches, Standings standings, Clock clock) {
        this.batches = batches;
        this.standings = standings;
        this.clock = clock;
    }

    /**
     * One arm before a judge.
     *
     * @param place from 1
     * @param of how many
     * @param shown its name or its letter
     * @param judge who
     * @param arm its index in the trial
     * @param age of the panel, in words
     * @param alone whether nothing of its age is there to compare it with
     */
    record Turn(int place, int of, String shown, String judge, int arm, String age, boolean alone) {

        /** Whether hands rest before it. */
        public boolean afterRest() {
            return place > 1 && (place - 1) % REST_AFTER == 0;
        }
    }

    /**
     * Whose turn it is before a judge. Those of one age sit together; what is of no panel's age sits only with its
     * like.
     *
     * @return empty when this judge has judged all that may be washed with; problems say why
     */
    Optional<Turn> turn(Trials.Trial trial, String judge, Problems problems) {
        Instant now = clock.instant();
        List<ArmStanding> standing = standings.of(trial);
        Standings.Hands hands = standings.hands(now);
        List<Integer> washable = IntStream.range(0, standing.size())
                .boxed()
                .filter(i -> hands.keepFrom(standing.get(i)).isEmpty())
                .toList();
        Map<String, List<Integer>> byAge = new LinkedHashMap<>();
        Arrays.stream(PanelAge.values()).forEach(a -> byAge.put(a.words(), new ArrayList<>()));
        washable.forEach(i -> byAge.computeIfAbsent(standing.get(i).ageAt(now), a -> new ArrayList<>())
                .add(i));
        byAge.entrySet()
                .removeIf(e ->
                        e.getValue().isEmpty() || e.getValue().size() == 1 && !maySitAlone(e.getKey(), standing, now));
        if (byAge.isEmpty()) {
            problems.add("judge", ProblemKey.NOTHING_TO_JUDGE);
            return Optional.empty();
        }
        List<String> rounds = Standings.sittings(standing).stream()
                .map(s -> s.judge() + "\u0000" + s.age())
                .distinct()
                .toList();
        for (Map.Entry<String, List<Integer>> panel : byAge.entrySet()) {
            String age = panel.getKey();
            int known = rounds.indexOf(judge + "\u0000" + age);
            List<Integer> order = PanelOrder.of(standing.size(), known < 0 ? rounds.size() : known).stream()
                    .filter(panel.getValue()::contains)
                    .toList();
            for (int place = 0; place < order.size(); place++) {
                ArmStanding next = standing.get(order.get(place));
                if (!next.isJudgedBy(judge, age)) {
                    String shown = trial.asked().coded()
                            ? "Bar " + (char) ('A' + (order.get(place) * 7 + 3) % 26)
                            : next.arm().name();
                    return Optional.of(
                            new Turn(place + 1, order.size(), shown, judge, order.get(place), age, order.size() == 1));
                }
            }
        }
        problems.add("judge", ProblemKey.JUDGED_ALREADY, judge, String.join(", ", byAge.keySet()));
        return Optional.empty();
    }

    /**
     * Of soaps made weeks apart a fresh one has no equal on its day: it is judged alone, at an age that others had or
     * will have.
     */
    private static boolean maySitAlone(String age, List<ArmStanding> standing, Instant now) {
        boolean isPanel =
                Arrays.stream(PanelAge.values()).anyMatch(a -> a.words().equals(age));
        long cutSoFar = standing.stream().filter(s -> s.cut().isPresent()).count();
        boolean othersApart = standing.stream()
                .filter(s -> !s.ageAt(now).equals(age))
                .anyMatch(s -> s.cut().isPresent() || s.arm().batch().isEmpty());
        return isPanel
                && othersApart
                && (cutSoFar > 1 || standing.stream().anyMatch(s -> s.batch().isEmpty()));
    }

    /** What a judge's grades of one arm are as a line of its batch. */
    Entry.Judged judged(Trials.Trial trial, Turn turn, Map<String, String> typed, Maker maker, Problems problems) {
        List<Entry.Judged.Grade> grades = Arrays.stream(SensoryScale.values())
                .map(s -> typed.getOrDefault(s.word(), "").matches("[1-5]")
                        ? new Entry.Judged.Grade(s, Integer.parseInt(typed.get(s.word())))
                        : null)
                .filter(Objects::nonNull)
                .toList();
        if (grades.isEmpty()) {
            problems.add("grades", ProblemKey.NO_GRADE);
        }
        return new Entry.Judged(
                turn.judge(), turn.place(), turn.of(), grades, water(typed, maker, problems), bars(trial, turn));
    }

    private static @Nullable Temperature water(Map<String, String> typed, Maker maker, Problems problems) {
        String water = typed.getOrDefault(WATER, "").strip();
        if (water.isEmpty()) {
            return null;
        }
        try {
            Temperature read = TemperatureNotation.read(WATER, water, maker.units());
            if (read.celsius() > EntryCheck.WASH_WATER.high()) {
                problems.add(
                        WATER,
                        ProblemKey.TOO_HIGH,
                        "Water for hands",
                        read,
                        Temperature.celsius(EntryCheck.WASH_WATER.high()));
            } else if (read.celsius() < EntryCheck.WASH_WATER.low()) {
                problems.add(
                        WATER,
                        ProblemKey.TOO_LOW,
                        "Water for hands",
                        read,
                        Temperature.celsius(EntryCheck.WASH_WATER.low()));
            }
            return read;
        } catch (ProblemsException e) {
            problems.addAll(e.problems());
            return null;
        }
    }

    /**
     * Keeps a judge's grades; of two that come in the same moment for one arm and age the first is kept.
     *
     * @throws ProblemsException for the second
     */
    void keep(Trials.Trial trial, Turn turn, Entry.Judged entry, Maker maker, String key) {
        Trials.Arm arm = trial.arms().get(turn.arm());
        Instant now = clock.instant();
        batches.logIf(
                arm.batch().orElseThrow(),
                batch -> {
                    if (new ArmStanding(arm, Optional.of(batch)).isJudgedBy(turn.judge(), turn.age())) {
                        throw ProblemsException.of("judge", ProblemKey.JUDGED_ALREADY, turn.judge(), turn.age());
                    }
                },
                List.of(entry),
                now,
                maker.displayName(),
                key,
                Answers.ofTheForm());
    }

    /** Whether it says no more than that it was kept before. */
    static boolean wasKept(ProblemsException e) {
        return e.problems().stream().map(Problem::key).allMatch(k -> k == ProblemKey.JUDGED_ALREADY);
    }

    /** The bars that are before a judge; null for any of a whole batch. */
    @Nullable
    Bars bars(Trials.Trial trial, Turn turn) {
        Trials.Arm arm = trial.arms().get(turn.arm());
        return arm.portion().isEmpty()
                ? null
                : Bars.some(1).of(batches.get(arm.batch().orElseThrow()).names().portion(arm.portion()));
    }
}
