package io.causticon.web.places.casebook;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Life;
import io.causticon.core.model.log.PhMethod;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.log.Weighable;
import io.causticon.core.model.said.entry.QuickLine;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.quantity.Mass;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.print.DrawingAnswer;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.Logbook;
import io.causticon.web.store.batch.Summaries;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** From what is seen to what it is. */
@Controller
@RequestMapping("/casebook")
class CasebookController {

    private static final int ROWS = 60;

    private final BatchService batches;
    private final Summaries summaries;
    private final CasebookService casebook;
    private final CasebookPages pages;
    private final LearnedPages learned;
    private final Logbook logbook;
    private final Clock clock;

    CasebookController(
            BatchService batches,
            Summaries summaries,
            CasebookService casebook,
            CasebookPages pages,
            LearnedPages learned,
            Logbook logbook,
            Clock clock) {
        this.batches = batches;
        this.summaries = summaries;
        this.casebook = casebook;
        this.pages = pages;
        this.learned = learned;
        this.logbook = logbook;
        this.clock = clock;
    }

    /** One batch in the list to choose from. */
    record Case(String id, String name, String code, String age, boolean held, String leading) {}

    @GetMapping
    String choose(
            Model model, @RequestParam(defaultValue = "") String find, @RequestParam(defaultValue = "") String after) {
        Optional<BatchId> last = BatchId.read(after);
        List<BatchSummary> held = last.isEmpty() && find.isBlank() ? summaries.held() : List.of();
        Summaries.Page page = summaries.page(Summaries.Which.ALL, find, Optional.empty(), last, ROWS);
        Stream<BatchSummary> others = page.batches().stream()
                .filter(b -> b.life() != Life.BENCH && held.stream().noneMatch(h -> h.id().equals(b.id())));
        model.addAttribute(
                "cases", Stream.concat(held.stream(), others).map(this::summary).toList());
        model.addAttribute("find", find);
        model.addAttribute(
                "older",
                page.more() ? page.batches().get(page.batches().size() - 1).id().toString() : "");
        model.addAttribute("unreadable", last.isEmpty() ? summaries.unreadable() : List.of());
        return "casebook/choose";
    }

    private Case summary(BatchSummary batch) {
        return new Case(
                batch.id().toString(),
                batch.name(),
                batch.code(),
                Formats.duration(batch.ageAt(clock.instant())),
                batch.isHeld(),
                batch.leading().name().isEmpty()
                        ? "nothing leads"
                        : batch.leading().name() + ", "
                                + Formats.probability(batch.leading().probability()));
    }

    /** What the workshop's own cases taught. */
    @GetMapping("/learned")
    String learned(Model model) {
        model.addAttribute("page", learned.page());
        return "casebook/learned";
    }

    @GetMapping("/{id}")
    String show(@PathVariable UUID id, Model model, Maker maker, @RequestParam(defaultValue = "") String find) {
        model.addAttribute("guesses", pages.guesses(batches.get(new BatchId(id)), TypedWords.bounded(find)));
        return show(new BatchId(id), model, maker, "", "");
    }

    /** What speaks for and against one condition as a file. */
    @GetMapping("/{id}/reasons-{condition}.{kind:svg|png}")
    ResponseEntity<byte[]> reasons(
            @PathVariable UUID id, @PathVariable String condition, @PathVariable String kind, Maker maker) {
        Batch batch = batches.get(new BatchId(id));
        return DrawingAnswer.of(
                pages.reasons(batch, condition, maker.formats()).orElse(null), kind, batch.code() + "-" + condition);
    }

    /** What is typed may mean this, while it is typed. */
    @GetMapping("/{id}/guesses")
    String guesses(@PathVariable UUID id, Model model, @RequestParam(defaultValue = "") String find) {
        model.addAttribute("id", id.toString());
        model.addAttribute("guesses", pages.guesses(batches.get(new BatchId(id)), TypedWords.bounded(find)));
        return "casebook/guesses";
    }

    /** Words that are none of the findings are kept as such, unless they speak of a hazard. */
    @PostMapping("/{id}/note")
    String note(@PathVariable UUID id, Model model, Maker maker, @RequestParam String words, @RequestParam String key) {
        try {
            if (words.isBlank() || QuickLine.speaksOfBurning(words)) {
                throw ProblemsException.of(
                        "words", words.isBlank() ? ProblemKey.MISSING : ProblemKey.SPEAKS_OF_BURNING);
            }
            logbook.log(new BatchId(id), new Entry.Noted(words.strip()), "", maker, key);
            return "redirect:/casebook/" + id;
        } catch (ProblemsException e) {
            model.addAttribute("guesses", pages.guesses(batches.get(new BatchId(id)), TypedWords.bounded(words)));
            return show(new BatchId(id), model, maker, logbook.problem(e.problems(), maker), "");
        }
    }

    /**
     * What was seen, or looked for and not there, on which bars and when, and in which words it was found, as it is
     * typed.
     */
    record Sighting(
            @Nullable String finding,
            @Nullable Presence presence,
            @Nullable String at,
            @Nullable String bars,
            @Nullable String find) {}

    @PostMapping("/{id}/finding")
    String finding(@PathVariable UUID id, Model model, Maker maker, Sighting seen, @RequestParam String key) {
        BatchId batch = new BatchId(id);
        try {
            Finding finding = TypedWords.finding(seen.finding());
            if (seen.presence() == null) {
                throw ProblemsException.of("finding", ProblemKey.MISSING);
            }
            Bars on = QuickLine.bars("bars", TypedWords.of(seen.bars()));
            logbook.log(
                    batch, new Entry.Observed(finding.id(), seen.presence(), on), TypedWords.of(seen.at()), maker, key);
            return "redirect:/casebook/" + id;
        } catch (ProblemsException e) {
            model.addAttribute("seen", seen);
            model.addAttribute("guesses", pages.guesses(batches.get(batch), TypedWords.bounded(seen.find())));
            model.addAttribute("seenProblems", logbook.byField(e.problems(), maker));
            return show(batch, model, maker, "", "");
        }
    }

    /** What was measured where a look was proposed. */
    record Reading(
            @Nullable String finding,
            @Nullable String number,
            @Nullable String bars) {}

    @PostMapping("/{id}/measured")
    String measured(@PathVariable UUID id, Model model, Maker maker, Reading read, @RequestParam String key) {
        try {
            if (TypedWords.of(read.number()).isBlank()) {
                throw ProblemsException.of("number", ProblemKey.MISSING);
            }
            double number =
                    NumberNotation.read("number", TypedWords.of(read.number()).replaceAll("\\s*%$", ""));
            Bars on = QuickLine.bars("bars", TypedWords.of(read.bars()));
            Entry entry = Findings.FREE_ALKALI.id().equals(read.finding())
                    ? new Entry.Titrated(number, on)
                    : new Entry.PhRead(number, PhMethod.METER, on);
            logbook.log(new BatchId(id), entry, "", maker, key);
            return "redirect:/casebook/" + id;
        } catch (ProblemsException e) {
            model.addAttribute("read", read);
            model.addAttribute("readProblems", logbook.byField(e.problems(), maker));
            return show(new BatchId(id), model, maker, "", "");
        }
    }

    /** What a rebatch was made with, as it is typed. */
    record Rebatched(
            @Nullable String fat,
            @Nullable String mass,
            @Nullable String water,
            @Nullable String when) {}

    @PostMapping("/{id}/rebatch")
    String rebatch(@PathVariable UUID id, Model model, Maker maker, Rebatched form, @RequestParam String key) {
        try {
            Problems problems = new Problems();
            Mass water = mass("water", form.water(), maker, problems);
            Mass mass = form.mass() == null || form.mass().isBlank() ? null : mass("fat", form.mass(), maker, problems);
            problems.throwIfAny();
            Weighable fat = mass == null || form.fat() == null ? null : Weighable.fat(form.fat());
            logbook.log(
                    new BatchId(id),
                    new Entry.Rebatched(fat, mass, water),
                    form.when() == null ? "" : form.when(),
                    maker,
                    key);
            return "redirect:/casebook/" + id;
        } catch (ProblemsException e) {
            model.addAttribute("rebatched", form);
            model.addAttribute("rebatchProblems", logbook.byField(e.problems(), maker));
            return show(new BatchId(id), model, maker, "", "");
        }
    }

    private static Mass mass(String what, @Nullable String typed, Maker maker, Problems problems) {
        try {
            return MassNotation.read(what, typed == null ? "" : typed, maker.units());
        } catch (ProblemsException e) {
            problems.addAll(e.problems());
            return Mass.ZERO;
        }
    }

    @PostMapping("/{id}/hold")
    String hold(
            @PathVariable UUID id, Model model, Maker maker, @RequestParam String reason, @RequestParam String key) {
        return decided(
                id, model, maker, reason, () -> casebook.hold(new BatchId(id), reason, maker.displayName(), key));
    }

    @PostMapping("/{id}/release")
    String release(
            @PathVariable UUID id, Model model, Maker maker, @RequestParam String reason, @RequestParam String key) {
        return decided(
                id, model, maker, reason, () -> casebook.release(new BatchId(id), reason, maker.displayName(), key));
    }

    @PostMapping("/{id}/conclude")
    String conclude(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam String condition,
            @RequestParam(defaultValue = "") String words,
            @RequestParam String key) {
        return decided(
                id,
                model,
                maker,
                words,
                () -> casebook.conclude(new BatchId(id), condition, words, maker.displayName(), key));
    }

    private String decided(UUID id, Model model, Maker maker, String typed, Runnable decision) {
        try {
            decision.run();
            return "redirect:/casebook/" + id;
        } catch (ProblemsException e) {
            return show(new BatchId(id), model, maker, logbook.problem(e.problems(), maker), typed);
        }
    }

    private String show(BatchId id, Model model, Maker maker, String problem, String typed) {
        model.addAttribute("page", pages.page(batches.get(id), maker.formats()));
        model.asMap().putIfAbsent("guesses", CasebookPage.Guesses.NONE);
        model.addAttribute("problem", problem);
        model.addAttribute("typed", typed);
        model.addAttribute("key", UUID.randomUUID().toString());
        return "casebook/casebook";
    }
}
