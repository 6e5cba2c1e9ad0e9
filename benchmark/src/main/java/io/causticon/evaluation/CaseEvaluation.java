package io.causticon.evaluation;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.science.diagnosis.ConditionReport;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.evidence.LoggingHabit;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.draw.Appearances;
import io.causticon.core.science.draw.DrawnCase;
import io.causticon.core.science.draw.DrawnRecipe;
import io.causticon.core.science.draw.Logging;
import io.causticon.core.science.facts.BatchFacts;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * Counts how often the condition that was drawn leads, and how often it is among the first three, beside others that
 * come as often as they do: once every condition as often as the next, once each as often as workshops meet it. What
 * else is truly there is set aside.
 */
final class CaseEvaluation {

    private static final KnownVessels NO_VESSELS = new KnownVessels(Map.of(), Map.of());
    private static final int AMONG = 3;

    /** From here on a condition is told as rather there than not. */
    private static final double TOLD = .5;

    private static final int WORST = 8;
    private static final double NEVER_BELOW = .8;

    /** So many batches a workshop has logged before it is asked about one. */
    private static final int BEFORE = 60;

    private final Appearances tables = Appearances.read();

    void print(int cases, long seed) {
        System.out.printf(Locale.ROOT, "%n%d conditions%n%n", tables.all().size());
        System.out.println("| logging | first | among three | told and there | told though not there, a batch |");
        System.out.println("|---|---|---|---|---|");
        for (Logging logging : Logging.values()) {
            run(logging, true, cases, new Random(seed));
            run(logging, false, cases, new Random(seed));
        }
    }

    /** As often as it is met: one in so many of the batches that have what it needs. */
    private Appearances.Appearance met(Random random) {
        double[] often = tables.all().stream()
                .mapToDouble(a -> DrawnRecipe.probability(a.needs()) / a.onceIn())
                .toArray();
        double at = random.nextDouble() * Arrays.stream(often).sum();
        int drawn = 0;
        while (drawn < often.length - 1 && at >= often[drawn]) {
            at -= often[drawn++];
        }
        return tables.all().get(drawn);
    }

    private void run(Logging logging, boolean alike, int cases, Random random) {
        Diagnostician diagnostician = new Diagnostician(StandardKnowledge.all(), habit(logging, random));
        Tally first = new Tally();
        Tally amongThree = new Tally();
        Tally told = new Tally();
        Map<String, Tally> each = new TreeMap<>();
        int falsely = 0;
        for (int n = 0; n < cases; n++) {
            Appearances.Appearance wanted =
                    alike ? tables.all().get(n % tables.all().size()) : met(random);
            DrawnCase drawn = new DrawnCase(tables, wanted, random, logging);
            Diagnosis diagnosis =
                    diagnostician.examine(BatchFacts.of(drawn.plan(), drawn.log(), drawn.askedAt()), NO_VESSELS);
            List<ConditionReport> ranked = diagnosis.reports().stream()
                    .sorted(Comparator.comparingDouble(ConditionReport::probability)
                            .reversed())
                    .toList();
            int place = place(ranked, wanted.condition(), drawn);
            first.add(place == 0);
            amongThree.add(place < AMONG);
            each.computeIfAbsent(wanted.condition(), c -> new Tally()).add(place == 0);
            ranked.stream()
                    .filter(r -> r.condition().id().equals(wanted.condition()))
                    .forEach(r -> told.add(r.probability() >= TOLD));
            falsely += (int) ranked.stream()
                    .filter(r -> r.probability() >= TOLD
                            && !drawn.conditions().contains(r.condition().id()))
                    .count();
        }
        System.out.printf(
                Locale.ROOT,
                "| %s, %s | %s | %s | %s | %.2f |%n",
                logging.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                alike ? "each as often" : "as often as met",
                first,
                amongThree,
                told,
                (double) falsely / cases);
        StringBuilder worst = new StringBuilder();
        each.entrySet().stream()
                .filter(e -> e.getValue().share() < NEVER_BELOW)
                .sorted(Comparator.comparingDouble(e -> e.getValue().share()))
                .limit(WORST)
                .forEach(e -> worst.append(' ')
                        .append(e.getKey())
                        .append(' ')
                        .append(e.getValue())
                        .append(';'));
        System.err.println(logging + (alike ? ", each as often" : ", as often as met") + ", seldom first:" + worst);
    }

    /** How the workshop logged before. */
    private LoggingHabit habit(Logging logging, Random random) {
        LoggingHabit habit = LoggingHabit.UNKNOWN;
        for (int n = 0; n < BEFORE; n++) {
            DrawnCase one = new DrawnCase(tables, met(random), random, logging);
            habit = habit.plus(LoggingHabit.of(BatchFacts.of(one.plan(), one.log(), one.askedAt())));
        }
        return habit;
    }

    /** How many that are not there stand before it. */
    private static int place(List<ConditionReport> ranked, String wanted, DrawnCase drawn) {
        int before = 0;
        for (ConditionReport report : ranked) {
            String id = report.condition().id();
            if (id.equals(wanted)) {
                return before;
            }
            before += drawn.conditions().contains(id) ? 0 : 1;
        }
        throw new IllegalStateException("The knowledge has no " + wanted);
    }
}
