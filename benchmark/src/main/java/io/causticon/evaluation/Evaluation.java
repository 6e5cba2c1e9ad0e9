package io.causticon.evaluation;

import io.causticon.core.model.log.KnownVessels;
import io.causticon.core.quantity.Mass;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.Diagnostician;
import io.causticon.core.science.diagnosis.ReleaseGate;
import io.causticon.core.science.diagnosis.Road;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.draw.Logging;
import io.causticon.core.science.facts.BatchFacts;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * Prints how often hazards are held and sound batches are freed: {@code Evaluation [batches a way of logging] [seed]}.
 */
public final class Evaluation {

    private static final int DECILES = 10;
    private static final KnownVessels VESSELS = new KnownVessels(Map.of("second jug", Mass.grams(84)), Map.of());

    private final Diagnostician diagnostician = new Diagnostician(StandardKnowledge.all());

    private Evaluation() {}

    public static void main(String[] arguments) {
        int cases = arguments.length > 0 ? Integer.parseInt(arguments[0]) : 10_000;
        long seed = arguments.length > 1 ? Long.parseLong(arguments[1]) : 8424;
        System.out.printf("%d batches a way of logging, seed %d%n%n", cases, seed);
        if (arguments.length > 2) {
            new CaseEvaluation().print(cases, seed);
            return;
        }
        System.out.println(
                "| logging | held below \u22123 % | hazardous that pass | sound that are freed | sound that are held |"
                        + " passed: alkali, pockets, separation |");
        System.out.println("|---|---|---|---|---|---|");
        for (Logging logging : Logging.values()) {
            new Evaluation().run(logging, cases, new Random(seed));
        }
        new CaseEvaluation().print(cases, seed);
    }

    private static List<Asked> asked(Road road) {
        List<Asked> steps = new ArrayList<>();
        for (Road.Step step : road.steps()) {
            switch (step.kind()) {
                case WAIT -> {}
                case CUT -> steps.add(new Asked(Asked.What.CUT, step.finding()));
                case WASH -> steps.add(new Asked(Asked.What.WASH, step.finding()));
                case TITRATE -> steps.add(new Asked(Asked.What.TITRATE, step.finding()));
                case LOOK -> steps.add(new Asked(Asked.What.LOOK, step.finding()));
            }
        }
        return steps;
    }

    private void run(Logging logging, int cases, Random random) {
        Tally heldWhenHeavy = new Tally();
        Tally passed = new Tally();
        Tally freed = new Tally();
        Tally heldFalsely = new Tally();
        Map<String, Integer> kept = new TreeMap<>();
        int[] why = new int[3];
        double[] told = new double[DECILES];
        int[] wasSo = new int[DECILES];
        int[] count = new int[DECILES];
        for (int n = 0; n < cases; n++) {
            DrawnBatch batch = new DrawnBatch(random, logging);
            BatchFacts facts = BatchFacts.of(batch.plan(), batch.log(), batch.lookedAt());
            Diagnostician.Examined examined = diagnostician.assess(facts, VESSELS);
            if (!examined.gate().isOpen()) {
                batch.follow(asked(diagnostician.road(facts, VESSELS, examined)));
                facts = BatchFacts.of(batch.plan(), batch.log(), batch.lookedAtAgain());
                examined = diagnostician.assess(facts, VESSELS);
            }
            Diagnosis diagnosis = examined.diagnosis();
            ReleaseGate gate = examined.gate();
            boolean open = gate.isOpen();
            boolean held = diagnosis.verdict() == Diagnosis.Verdict.HOLD;
            if (batch.superfat() < -.03) {
                heldWhenHeavy.add(held);
            }
            if (batch.isHazardous()) {
                passed.add(open);
                if (open) {
                    why[batch.superfat() < -.01 ? 0 : batch.hasPockets() ? 1 : 2]++;
                }
            }
            if (batch.isSound()) {
                freed.add(open);
                gate.missing()
                        .forEach(m -> kept.merge(
                                m.kind() == ReleaseGate.Kind.HAZARDS_LOW
                                        ? m.words().values().get(0).toString()
                                        : m.kind().name(),
                                1,
                                Integer::sum));
                heldFalsely.add(held);
            }
            int decile = Math.min(DECILES - 1, (int) (diagnosis.anyHazard() * DECILES));
            told[decile] += diagnosis.anyHazard();
            wasSo[decile] += batch.isSound() ? 0 : 1;
            count[decile]++;
        }
        System.out.printf(
                "| %s | %s | %s | %s | %s | %d, %d, %d |%n",
                logging.name().toLowerCase(Locale.ROOT).replace('_', ' '),
                heldWhenHeavy,
                passed,
                freed,
                heldFalsely,
                why[0],
                why[1],
                why[2]);
        StringBuilder calibration = new StringBuilder();
        for (int d = 0; d < DECILES; d++) {
            if (count[d] >= 50) {
                calibration.append(String.format(
                        Locale.ROOT,
                        " %.0f told, %.0f found (%d);",
                        100 * told[d] / count[d],
                        100.0 * wasSo[d] / count[d],
                        count[d]));
            }
        }
        System.err.println(logging + ", what keeps sound ones: " + kept);
        System.err.println(logging + ", hazard in per cent by decile:" + calibration);
    }
}
