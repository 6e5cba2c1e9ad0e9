package io.causticon.web.places.rack;

import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.places.trial.Panels;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.Logbook;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.dates.Makings;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.springframework.http.MediaType;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.bind.annotation.ResponseBody;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Home: all batches by age. */
@Controller
class RackController {

    /** What fits on a screen and a half; older ones are a step further. */
    private static final String EVERYTHING = "all";

    private static final int ROWS = 40;

    private static final List<Age> AGES = List.of(
            new Age("a week", 7),
            new Age("4 weeks", 28),
            new Age("3 months", 91),
            new Age("a year", 365),
            new Age("2 years", 730));

    private final Summaries summaries;
    private final Makings makings;
    private final Panels panels;
    private final BatchService batches;
    private final Logbook logbook;
    private final Clock clock;

    RackController(
            Summaries summaries, Makings makings, Panels panels, BatchService batches, Logbook logbook, Clock clock) {
        this.summaries = summaries;
        this.makings = makings;
        this.panels = panels;
        this.batches = batches;
        this.logbook = logbook;
        this.clock = clock;
    }

    /** A filter as a tab: its words, its address part, whether it is on. */
    record Tab(String words, String value, boolean current) {}

    /** An age to jump to, in days. */
    record Age(String words, int days) {}

    /** One batch in the table that stands for the chart. */
    record Row(String href, String name, String code, String age, String state) {}

    /**
     * What of all batches is asked for.
     *
     * @param show which
     * @param find part of a name, a code, a mould or a fat
     * @param after the batch before the first that is shown
     * @param days how old the first may be at least
     * @param due {@code all} for everything that is due, and not just the first of it
     */
    record Asked(String show, String find, String after, String days, String due) {

        Asked {
            show = show == null ? "all" : show;
            find = find == null ? "" : find;
            after = after == null ? "" : after;
            days = days == null ? "" : days;
            due = due == null ? "" : due;
        }

        Summaries.Which which() {
            try {
                return Summaries.Which.valueOf(show.toUpperCase(Locale.ROOT));
            } catch (IllegalArgumentException e) {
                return Summaries.Which.ALL;
            }
        }

        boolean allDue() {
            return due.equals(EVERYTHING);
        }

        /** Older than nobody keeps soap is any age. */
        Optional<Duration> age() {
            return days.matches("\\d{1,5}") ? Optional.of(Duration.ofDays(Long.parseLong(days))) : Optional.empty();
        }
    }

    @GetMapping("/")
    String rack(Model model, Maker maker, @ModelAttribute Asked asked) {
        Instant now = clock.instant();
        // Before anything is read: what comes between shows a moment later, and is not missed.
        model.addAttribute("edition", summaries.edition());
        Formats formats = maker.formats();
        Summaries.Page page = summaries.page(
                asked.which(), asked.find(), asked.age().map(now::minus), BatchId.read(asked.after()), ROWS);
        List<BatchSummary> shown = page.batches();
        List<UnreadableRow> unreadable =
                summaries.unreadable().stream().map(UnreadableRow::of).toList();
        Map<Summaries.Which, Long> counts = summaries.counts();
        long count = page.found().isPresent() ? page.found().getAsInt() : counts.get(asked.which());
        model.addAttribute("count", count);
        model.addAttribute("none", counts.get(Summaries.Which.ALL) == 0 && unreadable.isEmpty());
        model.addAttribute("unreadable", unreadable);
        model.addAttribute("find", asked.find());
        model.addAttribute("show", asked.which().name().toLowerCase(Locale.ROOT));
        model.addAttribute("tabs", tabs(asked.which(), counts));
        model.addAttribute("ages", count > ROWS ? AGES : List.of());
        model.addAttribute("days", asked.age().map(Duration::toDays).orElse(0L).intValue());
        model.addAttribute("fromStart", asked.after().isEmpty() && asked.days().isEmpty());
        model.addAttribute(
                "older", page.more() ? shown.get(shown.size() - 1).id().toString() : "");
        model.addAttribute("shown", shown.size());
        model.addAttribute("chart", AgeChart.of(shown, formats, now));
        model.addAttribute("rows", shown.stream().map(b -> row(b, now)).toList());
        model.addAttribute("key", UUID.randomUUID().toString());
        model.addAttribute("today", formats.longDay(now));
        model.asMap().putIfAbsent("dueProblem", "");
        model.asMap().putIfAbsent("dueBatch", "");
        model.asMap().putIfAbsent("dueTyped", "");
        model.addAttribute("dueAll", asked.allDue());
        model.addAttribute("due", new DueList(summaries, makings, panels, formats, now).shown(asked.allDue(), (String)
                        model.getAttribute("dueBatch")));
        return "rack/rack";
    }

    /** Of which edition a rack made now would be: a page that stays open asks for it, and costs no question of rows. */
    @GetMapping(path = "/edition", produces = MediaType.TEXT_PLAIN_VALUE)
    @ResponseBody
    String edition() {
        return Long.toString(summaries.edition());
    }

    /**
     * Done from the list: the line is read and logged as if it was typed. What cannot be is told at the list, and what
     * was typed stays.
     */
    @PostMapping("/today/{id}")
    String done(
            @PathVariable UUID id,
            Maker maker,
            @RequestParam String line,
            @RequestParam String key,
            @RequestParam(defaultValue = "") String due,
            RedirectAttributes once) {
        try {
            Logbook.Reading reading = logbook.understand(batches.get(new BatchId(id)), line, "", Duration.ZERO, maker);
            if (reading.problems().isEmpty() && reading.entries().size() != 1) {
                throw ProblemsException.of("quick", ProblemKey.NOT_UNDERSTOOD_HERE, line);
            }
            logbook.log(new BatchId(id), reading, Duration.ZERO, maker, key, Optional::empty);
        } catch (ProblemsException e) {
            once.addFlashAttribute("dueProblem", logbook.problem(e.problems(), maker));
            once.addFlashAttribute("dueBatch", id.toString());
            once.addFlashAttribute("dueTyped", line);
        }
        // Whoever looked at all of it goes on there.
        return due.equals(EVERYTHING) ? "redirect:/?due=" + EVERYTHING : "redirect:/";
    }

    /** A batch that cannot be worked with. */
    record UnreadableRow(String id, String name, String code, String why) {

        static UnreadableRow of(BatchSummary batch) {
            return new UnreadableRow(batch.id().toString(), batch.name(), batch.code(), batch.problem());
        }
    }

    private static List<Tab> tabs(Summaries.Which current, Map<Summaries.Which, Long> counts) {
        return Arrays.stream(Summaries.Which.values())
                // Few workshops give any up.
                .filter(w -> w != Summaries.Which.ABANDONED || w == current || counts.get(w) > 0)
                .map(w -> {
                    String name = w == Summaries.Which.ABANDONED
                            ? "Given up"
                            : w.name().charAt(0) + w.name().substring(1).toLowerCase(Locale.ROOT);
                    return new Tab(name + " " + counts.get(w), w.name().toLowerCase(Locale.ROOT), w == current);
                })
                .toList();
    }

    private static Row row(BatchSummary batch, Instant now) {
        return new Row(
                "/batch/" + batch.id(),
                batch.name(),
                batch.code(),
                Formats.duration(batch.ageAt(now)),
                batch.state().words() + EntryWords.purpose(batch.purpose()));
    }
}
