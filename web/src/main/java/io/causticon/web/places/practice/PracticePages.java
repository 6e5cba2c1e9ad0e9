package io.causticon.web.places.practice;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.BatchLog;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.WashFeel;
import io.causticon.core.model.plan.AlkaliBalance;
import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.model.said.entry.Names;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.science.diagnosis.ConditionReport;
import io.causticon.core.science.diagnosis.Diagnosis;
import io.causticon.core.science.diagnosis.knowledge.StandardKnowledge;
import io.causticon.core.science.diagnosis.network.Condition;
import io.causticon.core.science.diagnosis.network.Knowledge;
import io.causticon.core.workshop.practice.PracticeMove;
import io.causticon.core.workshop.practice.PracticeReview;
import io.causticon.core.workshop.practice.PracticeSitting;
import io.causticon.core.workshop.practice.PracticeSolver;
import io.causticon.web.places.casebook.LedgerLayout;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.practice.PracticeRow;
import io.causticon.web.store.practice.PracticeService;
import java.time.Duration;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Random;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Words a case while it is open, and what came of it. */
@Component
class PracticePages {

    private static final List<Integer> WAITS = List.of(1, 3, 7, 14, 30);
    private static final int REMEDIES = 4;

    private final PracticeService practice;

    PracticePages(PracticeService practice) {
        this.practice = practice;
    }

    private static Knowledge knowledge() {
        return StandardKnowledge.all();
    }

    PracticePage page(PracticeRow row, Maker maker) {
        PracticeSitting sitting = practice.sitting(row);
        Formats formats = maker.formats();
        Map<String, List<PracticePage.Look>> groups = new LinkedHashMap<>();
        sitting.open()
                .forEach(f -> groups.computeIfAbsent(f.group().title(), g -> new ArrayList<>())
                        .add(new PracticePage.Look(
                                f.id(),
                                f.words(),
                                f.look(),
                                f.minutes() + " min"
                                        + (f.takes().isZero() ? "" : ", answer in " + Formats.duration(f.takes())))));
        return new PracticePage(
                row.id().toString(),
                sitting.of().level().words(),
                plan(sitting.of().drawn().plan(), formats),
                log(sitting, formats),
                "day " + Formats.number(Math.floor(sitting.day()), 0),
                cost(sitting),
                sitting.burnt() > 0,
                groups.entrySet().stream()
                        .map(e -> new PracticePage.Group(e.getKey(), e.getValue()))
                        .toList(),
                WAITS.stream().filter(d -> sitting.allows(PracticeMove.days(d))).toList(),
                conditions(),
                remedies(row, sitting));
    }

    /** All that it can be, by name. */
    private static List<PracticePage.Named> conditions() {
        return knowledge().conditions().stream()
                .sorted(Comparator.comparing(Condition::name))
                .map(c -> new PracticePage.Named(c.id(), c.name()))
                .toList();
    }

    static boolean isCondition(String id) {
        return knowledge().conditions().stream().anyMatch(c -> c.id().equals(id));
    }

    private static Condition condition(String id) {
        return knowledge().conditions().stream()
                .filter(c -> c.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    private static List<String> plan(BatchPlan plan, Formats formats) {
        AlkaliBalance balance = AlkaliBalance.of(plan.formula());
        List<String> lines = new ArrayList<>();
        lines.add(plan.formula().fats().stream()
                .map(f -> f.fat().shortName() + " " + formats.mass(f.mass()))
                .collect(Collectors.joining(", ")));
        lines.add("NaOH " + formats.mass(balance.naoh()) + " in "
                + balance.liquids().stream()
                        .map(l -> formats.mass(l.mass()) + " of " + l.liquid().name())
                        .collect(Collectors.joining(", ")));
        lines.add("superfat " + formats.percent(plan.formula().superfat(), 1) + ", lye concentration "
                + formats.percent(balance.concentration(), 1));
        plan.formula().additives().forEach(a -> lines.add(a.additive().name() + " " + formats.mass(a.mass())));
        if (!plan.pouring().portioning().portions().isEmpty()) {
            lines.add("in parts: "
                    + plan.pouring().portioning().portions().stream()
                            .map(Portion::name)
                            .collect(Collectors.joining(", ")));
        }
        return lines;
    }

    private static List<PracticePage.Line> log(PracticeSitting sitting, Formats formats) {
        Names names = new Names(sitting.of().drawn().plan(), Catalogue.standard());
        BatchLog log = sitting.facts().log();
        return log.entries().stream()
                .map(l -> new PracticePage.Line(
                        "day "
                                + Formats.number(
                                        Math.floor(Duration.between(log.begun(), l.at())
                                                        .toMinutes()
                                                / 1440.0),
                                        0),
                        EntryWords.of(l.entry(), names, formats).text(),
                        isAlarming(l.entry())))
                .toList();
    }

    private static boolean isAlarming(Entry entry) {
        return entry instanceof Entry.WashTested w && w.feel() == WashFeel.BURNING
                || entry instanceof Entry.Titrated t && t.freeAlkaliPercent() > 0
                || entry instanceof Entry.Observed o && o.presence() == Presence.SEEN;
    }

    private static String cost(PracticeSitting sitting) {
        double waited = sitting.day() - sitting.of().day();
        return sitting.minutes() + " min of work, " + Formats.number(Math.floor(waited), 0) + " days of waiting"
                + (sitting.burnt() == 0 ? "" : ", burnt " + times(sitting.burnt()));
    }

    private static String times(int count) {
        return count == 1 ? "once" : count + " times";
    }

    /** That of one thing it has, among those of what it might be taken for; in an order that tells nothing. */
    private static List<PracticePage.Named> remedies(PracticeRow row, PracticeSitting sitting) {
        Set<String> ids = new LinkedHashSet<>();
        ids.add(sitting.of().drawn().certain().stream()
                .sorted(Comparator.comparing(id -> !condition(id).hazard()))
                .findFirst()
                .orElseThrow());
        List<String> seen = sitting.of().brought();
        List<Condition> rivals = new ArrayList<>(knowledge().conditions());
        Collections.shuffle(rivals, new Random(row.seed()));
        rivals.stream()
                .filter(c -> !sitting.of().conditions().contains(c.id()))
                .sorted(Comparator.comparingDouble((Condition c) -> -seen.stream()
                        .mapToDouble(f -> knowledge().strength(f, c.id()))
                        .max()
                        .orElse(0)))
                .limit(REMEDIES - 1L)
                .forEach(c -> ids.add(c.id()));
        List<PracticePage.Named> all = new ArrayList<>(ids.stream()
                .map(id -> new PracticePage.Named(
                        id, knowledge().remedy(condition(id)).now()))
                .toList());
        Collections.shuffle(all, new Random(row.seed() + 1));
        return all;
    }

    PracticePage.Review review(PracticeRow row, Maker maker) {
        PracticeSitting sitting = practice.sitting(row);
        PracticeReview.Conclusion said = PracticeService.said(row);
        PracticeReview review = PracticeReview.of(sitting, said);
        PracticeSolver.Solved solved = practice.solved(row);
        return new PracticePage.Review(
                sitting.of().level().words(),
                verdict(review, sitting),
                review.releasedHazard(),
                review.points(),
                told(review, said, sitting),
                accounts(sitting, said, maker.formats()),
                moves(solved.sitting(), maker),
                cost(solved.sitting()),
                moves(sitting, maker),
                cost(sitting),
                review.needless().stream().map(PracticePages::words).toList());
    }

    private static String names(Set<String> ids) {
        return ids.stream()
                .filter(PracticePages::isCondition)
                .map(id -> condition(id).name())
                .sorted()
                .collect(Collectors.joining(", "));
    }

    private static String verdict(PracticeReview review, PracticeSitting sitting) {
        String was = "It was " + names(sitting.of().conditions()) + ". ";
        if (review.releasedHazard()) {
            return was + "You gave it into hands, and it burns.";
        }
        return was
                + (review.right()
                        ? "You named it."
                        : review.missed().isEmpty()
                                ? "You named that, and more."
                                : "You did not name " + names(review.missed()) + ".");
    }

    private static List<String> told(PracticeReview review, PracticeReview.Conclusion said, PracticeSitting sitting) {
        List<String> told = new ArrayList<>();
        if (review.releasedHazard()) {
            told.add("What burns is held, however well the rest is told. No points.");
        }
        if (!review.falseAlarms().isEmpty()) {
            told.add("Named, and not there: " + names(review.falseAlarms()) + ".");
        }
        if (review.releasedUntested()) {
            told.add("Given away before a wash or a titration was calm.");
        }
        if (review.heldInVain()) {
            told.add("Held, though nothing in it can hurt.");
        }
        if (sitting.burnt() > 0) {
            told.add("It cost skin " + times(sitting.burnt())
                    + ": where a sign or the weights speak for alkali, titrate first.");
        }
        told.add(
                review.remedyRight()
                        ? "The remedy fits."
                        : said.remedy().isEmpty()
                                ? "No remedy was chosen."
                                : "The remedy was that of " + names(Set.of(said.remedy())) + ".");
        told.add("You said to be sure to " + Math.round(said.certainty() * 100) + " %.");
        return told;
    }

    private static List<PracticePage.Account> accounts(
            PracticeSitting sitting, PracticeReview.Conclusion said, Formats formats) {
        Diagnosis diagnosis = sitting.diagnosis();
        Set<String> all = new LinkedHashSet<>(sitting.of().conditions());
        said.conditions().stream().filter(PracticePages::isCondition).forEach(all::add);
        return all.stream()
                .map(id -> {
                    ConditionReport report = diagnosis.of(condition(id));
                    return new PracticePage.Account(
                            report.condition().name(),
                            sitting.of().conditions().contains(id),
                            said.conditions().contains(id),
                            Formats.probability(report.probability()),
                            LedgerLayout.draw(report.condition().name(), report.ledger(), formats),
                            report.remedy().now());
                })
                .toList();
    }

    private static List<String> moves(PracticeSitting sitting, Maker maker) {
        Names names = new Names(sitting.of().drawn().plan(), Catalogue.standard());
        return sitting.done().stream()
                .map(d -> d.entry()
                                .map(e ->
                                        EntryWords.of(e, names, maker.formats()).text())
                                .orElseGet(() -> words(d.move()))
                        + (d.burnt() ? " (it cost skin)" : ""))
                .toList();
    }

    private static String words(PracticeMove move) {
        return switch (move.kind()) {
            case LOOK -> Findings.find(move.what()).map(Finding::words).orElse(move.what());
            case WASH -> "wash";
            case TITRATE -> "titrate";
            case WAIT -> "wait " + move.what() + (move.what().equals("1") ? " day" : " days");
        };
    }

    /** A row of the list: what it was where it is over. */
    Optional<String> was(PracticeRow row) {
        return row.finishedAt() == null ? Optional.empty() : Optional.of(names(PracticeService.had(row)));
    }
}
