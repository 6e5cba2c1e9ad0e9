package io.causticon.web.rack;

import io.causticon.core.observation.Life;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchService;
import io.causticon.web.casebook.CasebookService;
import io.causticon.web.shared.Formats;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.function.Predicate;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.RequestParam;

/** Home: all batches by age. */
@Controller
class RackController {

    private final BatchService batches;
    private final CasebookService casebook;
    private final Clock clock;

    RackController(BatchService batches, CasebookService casebook, Clock clock) {
        this.batches = batches;
        this.casebook = casebook;
        this.clock = clock;
    }

    /** What the rack can be narrowed to. */
    private enum Filter {
        ALIVE(b -> b.life() != Life.READY),
        HELD(Batch::isHeld),
        READY(b -> b.life() == Life.READY),
        ALL(b -> true);

        private final Predicate<Batch> keeps;

        Filter(Predicate<Batch> keeps) {
            this.keeps = keeps;
        }
    }

    /** A filter as a tab: its words, its address part, whether it is on. */
    record Tab(String words, String value, boolean current) {}

    /** One batch in the table that stands for the chart. */
    record Row(String href, String name, String code, String age, String state) {}

    @GetMapping("/")
    String rack(
            Model model,
            @ModelAttribute("maker") Maker maker,
            @RequestParam(defaultValue = "all") String show,
            @RequestParam(defaultValue = "") String find) {
        Instant now = clock.instant();
        Formats formats = maker.formats();
        List<Batch> all = batches.all();
        Filter filter = filter(show);
        List<Batch> shown = all.stream().filter(filter.keeps).filter(b -> matches(b, find)).toList();
        model.addAttribute("count", shown.size());
        model.addAttribute("none", all.isEmpty());
        model.addAttribute("find", find);
        model.addAttribute("show", show);
        model.addAttribute("tabs", tabs(all, filter));
        model.addAttribute("chart", AgeChart.of(shown, formats, now));
        model.addAttribute("rows", shown.stream().map(b -> row(b, now)).toList());
        model.addAttribute("today", formats.longDay(now));
        model.addAttribute("due", new DueList(casebook, formats, now).of(all));
        return "rack/rack";
    }

    private static boolean matches(Batch batch, String find) {
        String asked = find.trim().toLowerCase(Locale.ROOT);
        String mould = batch.plan().mould() == null ? "" : batch.plan().mould().name();
        boolean named = (batch.name() + " " + batch.code() + " " + mould).toLowerCase(Locale.ROOT).contains(asked);
        return asked.isEmpty()
                || named
                || batch.plan().formula().fats().stream()
                        .anyMatch(f -> f.fat().name().toLowerCase(Locale.ROOT).contains(asked));
    }

    private static Filter filter(String show) {
        try {
            return Filter.valueOf(show.toUpperCase(Locale.ROOT));
        } catch (IllegalArgumentException e) {
            return Filter.ALL;
        }
    }

    private static List<Tab> tabs(List<Batch> all, Filter current) {
        return List.of(Filter.values()).stream()
                .map(f -> {
                    long count = all.stream().filter(f.keeps).count();
                    String name = f.name().charAt(0) + f.name().substring(1).toLowerCase(Locale.ROOT);
                    return new Tab(name + " " + count, f.name().toLowerCase(Locale.ROOT), f == current);
                })
                .toList();
    }

    private static Row row(Batch batch, Instant now) {
        String state = batch.isHeld()
                ? "held"
                : switch (batch.life()) {
                    case BENCH -> "on the bench";
                    case MOULD -> "in the mould";
                    case CURE -> "curing";
                    case READY -> "released";
                };
        return new Row(
                "/batch/" + batch.id(), batch.name(), batch.code(), Formats.duration(batch.log().ageAt(now)), state);
    }
}
