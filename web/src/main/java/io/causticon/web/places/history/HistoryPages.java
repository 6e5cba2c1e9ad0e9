package io.causticon.web.places.history;

import io.causticon.core.science.history.Chapter;
import io.causticon.core.science.history.Grouping;
import io.causticon.core.science.history.History;
import io.causticon.core.science.history.Measure;
import io.causticon.web.shared.ChangeWords;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import java.time.Clock;
import java.util.Arrays;
import java.util.Comparator;
import java.util.DoubleSummaryStatistics;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;

/** Words and lays out a workshop's history. */
@Service
class HistoryPages {

    private static final int MOST_PANELS = 24;
    private static final int MOST_IN_A_PANEL = 60;
    private static final int MOST_TURNS = 20;
    private static final int MOST_ROWS = 200;
    private static final int MOST_CHANGES = 6;
    private static final double LEAST_TOLD = 0.1;
    private static final double FEW = 3;

    private final Chapters chapters;
    private final Clock clock;

    HistoryPages(Chapters chapters, Clock clock) {
        this.chapters = chapters;
        this.clock = clock;
    }

    HistoryPage page(String by, String what, String find, Maker maker) {
        Grouping grouping = named(Grouping.values(), by, Grouping.RECIPE);
        Measure measure = named(Measure.values(), what, Measure.LYE_CONCENTRATION);
        Chapters.Known known = chapters.known();
        Formats formats = maker.formats();
        String looked = find.trim().toLowerCase(Locale.ROOT);
        List<Map.Entry<String, List<Chapter>>> groups = known.history().by(grouping, formats.zone()).entrySet().stream()
                .filter(g -> g.getKey().toLowerCase(Locale.ROOT).contains(looked))
                .filter(g -> g.getValue().stream().anyMatch(c -> c.measures().containsKey(measure)))
                .sorted(Comparator.comparing((Map.Entry<String, List<Chapter>> g) ->
                                -g.getValue().size())
                        .thenComparing(Map.Entry::getKey))
                .toList();
        History.Found found = known.history().links();
        return new HistoryPage(
                Arrays.stream(Grouping.values())
                        .map(g -> new HistoryPage.Choice(lower(g), "by " + lower(g), g == grouping))
                        .toList(),
                Arrays.stream(Measure.values())
                        .map(m -> new HistoryPage.Choice(m.name(), m.words(), m == measure))
                        .toList(),
                panels(groups, measure, known, formats),
                Math.max(0, groups.size() - MOST_PANELS),
                known.history().turns(clock.instant()).stream()
                        .limit(MOST_TURNS)
                        .map(t -> turn(t, known.batches(), formats))
                        .toList(),
                found.links().stream().map(l -> link(l, formats)).toList(),
                caution(found),
                rows(known, measure, formats),
                known.history().chapters().size(),
                known.complete());
    }

    private static List<HistoryPage.Panel> panels(
            List<Map.Entry<String, List<Chapter>>> groups, Measure measure, Chapters.Known known, Formats formats) {
        List<Chapter> all = known.history().chapters();
        DoubleSummaryStatistics values = all.stream()
                .filter(c -> c.measures().containsKey(measure))
                .mapToDouble(c -> c.measures().get(measure))
                .summaryStatistics();
        if (values.getCount() == 0) {
            return List.of();
        }
        PanelChart.Scales scales = new PanelChart.Scales(
                measure,
                all.get(0).begun(),
                all.get(all.size() - 1).begun(),
                values.getMin(),
                values.getMax(),
                v -> ChangeWords.value(measure, v, formats),
                formats.zone());
        return groups.stream()
                .limit(MOST_PANELS)
                .map(g -> {
                    List<Chapter> last = g.getValue()
                            .subList(
                                    Math.max(0, g.getValue().size() - MOST_IN_A_PANEL),
                                    g.getValue().size());
                    return new HistoryPage.Panel(
                            g.getKey(), told(g.getValue()), PanelChart.of(g.getKey(), last, known.batches(), scales));
                })
                .toList();
    }

    private static String told(List<Chapter> chapters) {
        Map<String, Long> had = chapters.stream()
                .flatMap(c -> c.conditions().keySet().stream())
                .collect(Collectors.groupingBy(c -> c, Collectors.counting()));
        String batches = chapters.size() + (chapters.size() == 1 ? " batch" : " batches");
        return had.isEmpty()
                ? batches + ", none with a defect"
                : batches + ": "
                        + had.entrySet().stream()
                                .sorted(Map.Entry.<String, Long>comparingByValue()
                                        .reversed()
                                        .thenComparing(Map.Entry.comparingByKey()))
                                .limit(3)
                                .map(e -> e.getKey() + (e.getValue() > 1 ? " " + e.getValue() + " times" : ""))
                                .collect(Collectors.joining(", "));
    }

    private static HistoryPage.Turn turn(History.Turn turn, Map<Chapter, BatchId> batches, Formats formats) {
        List<String> changes = turn.changes().stream()
                .limit(MOST_CHANGES)
                .map(c -> ChangeWords.change(c, formats))
                .toList();
        return new HistoryPage.Turn(
                turn.after().recipe(),
                turn.condition(),
                turn.came(),
                !turn.came() ? "dot" : PanelChart.HAZARDS.contains(turn.condition()) ? "trouble" : "cross",
                formats.date(turn.before().begun()),
                formats.date(turn.after().begun()),
                "/batch/" + batches.get(turn.after()),
                changes.isEmpty() ? List.of("nothing that the logs tell of") : changes);
    }

    private static HistoryPage.Link link(History.Link link, Formats formats) {
        History.Factor factor = link.factor();
        Measure measure = factor.measure();
        String words = switch (factor.kind()) {
            case LOW ->
                measure == null
                        ? ""
                        : measure.words() + " of " + ChangeWords.value(measure, factor.limit(), formats) + " or less";
            case HIGH ->
                measure == null
                        ? ""
                        : measure.words() + " of " + ChangeWords.value(measure, factor.limit(), formats) + " or more";
            case WITH -> "with " + factor.what();
            case LOT -> "lot " + factor.what();
            case MOULD -> "in the " + factor.what();
            case WAY -> factor.what();
        };
        String chance = link.chance() < 0.001
                ? "under 0.1 %"
                : Formats.number(100 * link.chance(), link.chance() < 0.01 ? 1 : 0) + " %";
        return new HistoryPage.Link(
                link.condition(),
                words,
                link.had() + " of " + link.with(),
                link.hadWithout() + " of " + link.without(),
                chance);
    }

    private static String caution(History.Found found) {
        if (found.links().isEmpty()) {
            return "Nothing stands out among " + found.compared()
                    + " comparisons. It takes a defect that came twice, and something those batches share that the"
                    + " others lack.";
        }
        double expected = found.expectedByChance();
        return "Of " + found.compared() + " comparisons chance alone brings on average "
                + (expected < LEAST_TOLD ? "under 0.1" : Formats.number(expected, expected < FEW ? 1 : 0))
                + " as strong as the weakest of these: take them for questions, and change one thing at a time to"
                + " answer them.";
    }

    private static List<HistoryPage.Row> rows(Chapters.Known known, Measure measure, Formats formats) {
        return known.history().chapters().stream()
                .sorted(Comparator.comparing(Chapter::begun).reversed())
                .limit(MOST_ROWS)
                .map(c -> new HistoryPage.Row(
                        formats.date(c.begun()),
                        c.recipe(),
                        "/batch/" + known.batches().get(c),
                        c.measures().containsKey(measure)
                                ? ChangeWords.value(measure, c.measures().get(measure), formats)
                                : "",
                        c.conditions().keySet().stream().sorted().collect(Collectors.joining(", "))))
                .toList();
    }

    private static <E extends Enum<E>> E named(E[] values, String name, E otherwise) {
        return Arrays.stream(values)
                .filter(v -> v.name().equalsIgnoreCase(name.trim()))
                .findFirst()
                .orElse(otherwise);
    }

    private static String lower(Enum<?> value) {
        return value.name().toLowerCase(Locale.ROOT);
    }
}
