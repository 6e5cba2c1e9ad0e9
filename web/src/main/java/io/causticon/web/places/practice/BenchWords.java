package io.causticon.web.places.practice;

import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.workshop.practice.HurriedBench;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.words.EntryWords;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * A bench in a hurry, worded.
 *
 * @param plan what it is to be
 * @param readings what the instruments show: name and value
 * @param batter what it looks like; empty before lye and fats met
 * @param verdict what it came to; empty before it is poured
 * @param faults what went wrong and why
 */
record BenchWords(List<String> plan, List<Reading> readings, String batter, String verdict, List<Fault> faults) {

    /** What one instrument shows. */
    record Reading(String name, String value) {}

    /** One thing that went wrong. */
    record Fault(String what, String why, boolean hazard) {}

    static BenchWords of(HurriedBench bench, Formats formats) {
        AlkaliBalance balance = AlkaliBalance.of(bench.plan().formula());
        List<String> plan = new ArrayList<>();
        plan.add(bench.plan().formula().fats().stream()
                .map(f -> f.fat().shortName() + " " + formats.mass(f.mass()))
                .collect(Collectors.joining(", ")));
        plan.add("NaOH " + formats.mass(balance.naoh()) + " in "
                + balance.liquids().stream()
                        .map(l -> formats.mass(l.mass()) + " of " + l.liquid().name())
                        .collect(Collectors.joining(", ")));
        bench.plan().formula().additives().forEach(a -> plan.add(a.additive().name() + " " + formats.mass(a.mass())));
        plan.add("lye and fats are to meet at "
                + formats.temperature(bench.plan().mixAt()));
        List<Reading> readings = new ArrayList<>();
        readings.add(new Reading(
                "minute",
                Formats.number(Math.floor(bench.minute()), 0) + " of " + Formats.number(HurriedBench.MINUTES, 0)));
        if (bench.isMet()) {
            readings.add(new Reading("batter", formats.temperature(bench.batter())));
        } else {
            readings.add(new Reading("lye", formats.temperature(bench.lye())));
            readings.add(new Reading("fats", formats.temperature(bench.fats())));
            readings.add(new Reading("lye fed", bench.sixthsFed() + " of 6"));
        }
        List<Fault> faults = bench.faults().stream()
                .map(f -> new Fault(f.what(), formats.phrase(f.why()), f.hazard()))
                .toList();
        String verdict = !bench.isOver()
                ? ""
                : bench.isGivenUp()
                        ? "Nothing came into the mould."
                        : faults.isEmpty()
                                ? "In the mould, and sound."
                                : faults.stream().anyMatch(Fault::hazard)
                                        ? "In the mould, and it can burn somebody."
                                        : "In the mould, and it shows.";
        return new BenchWords(plan, readings, bench.isMet() ? EntryWords.stage(bench.looks()) : "", verdict, faults);
    }
}
