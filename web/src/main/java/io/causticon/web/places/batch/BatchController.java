package io.causticon.web.places.batch;

import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.LoggedEntry;
import io.causticon.core.model.said.entry.Names;
import io.causticon.core.model.said.entry.OnlyTheAmount;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.shared.print.DrawingAnswer;
import io.causticon.web.shared.words.EntryWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Answers;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.Logbook;
import io.causticon.web.store.batch.PhotoService;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** The page of one batch: its strip, its log, amending a line. */
@Controller
@RequestMapping("/batch/{id}")
class BatchController {

    private static final String BENCH = "bench";

    private final BatchService batches;
    private final BatchPages pages;
    private final Logbook logbook;
    private final PhotoService photos;
    private final ProblemWords words;

    BatchController(BatchService batches, BatchPages pages, Logbook logbook, PhotoService photos, ProblemWords words) {
        this.batches = batches;
        this.pages = pages;
        this.logbook = logbook;
        this.photos = photos;
        this.words = words;
    }

    @GetMapping
    String show(@PathVariable UUID id, Model model, Maker maker) {
        return show(new BatchId(id), model, maker, "", "", "");
    }

    @PostMapping("/log")
    String log(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam String quick,
            @RequestParam(defaultValue = "") String at,
            @RequestParam(defaultValue = "0") long late,
            @RequestParam(defaultValue = "") String meant,
            @RequestParam String key) {
        String line = meant.isBlank() ? quick : meant;
        try {
            logbook.log(new BatchId(id), line, at, Duration.ofSeconds(late), maker, key);
            return "redirect:/batch/" + id;
        } catch (ProblemsException e) {
            model.addAttribute("maybe", Logbook.maybe(e.problems(), line));
            return show(new BatchId(id), model, maker, quick, at, logbook.problem(e.problems(), maker));
        }
    }

    @PostMapping("/photo")
    String photo(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam MultipartFile photo,
            @RequestParam(defaultValue = "") String caption,
            @RequestParam String key)
            throws IOException {
        BatchId batch = new BatchId(id);
        try {
            String name = photo.getOriginalFilename() == null ? "" : photo.getOriginalFilename();
            String kept = photos.keep(batch, name, photo.getBytes());
            logbook.log(batch, new Entry.PhotoTaken(kept, caption), "", maker, key);
            return "redirect:/batch/" + id;
        } catch (ProblemsException e) {
            model.addAttribute("photoProblem", logbook.problem(e.problems(), maker));
            return show(batch, model, maker, "", "", "");
        }
    }

    /** The strip of its life as a file. */
    @GetMapping("/strip.{kind:svg|png}")
    ResponseEntity<byte[]> strip(@PathVariable UUID id, @PathVariable String kind, Maker maker) {
        Batch batch = batches.get(new BatchId(id));
        return DrawingAnswer.of(pages.strip(batch, maker), kind, batch.code() + "-strip");
    }

    @GetMapping("/photo/{photo}")
    ResponseEntity<byte[]> photo(@PathVariable UUID photo, @RequestParam(defaultValue = "false") boolean small) {
        return ResponseEntity.ok()
                .contentType(MediaType.IMAGE_JPEG)
                .cacheControl(CacheControl.noCache().cachePrivate())
                .body(photos.image(photo, small));
    }

    @GetMapping("/line/{line}")
    String line(
            @PathVariable UUID id,
            @PathVariable String line,
            Model model,
            Maker maker,
            @RequestParam(defaultValue = "") String from) {
        model.addAttribute("from", from);
        return line(new BatchId(id), line, model, maker, null, "");
    }

    /** What the form of an amendment holds. */
    record Amendment(
            String quick,
            String at,
            int revision,
            @Nullable Boolean withdraw,
            String reason,
            @Nullable String meant,
            @Nullable String from) {

        Amendment {
            quick = quick == null ? "" : quick;
            at = at == null ? "" : at;
            reason = reason == null ? "" : reason;
        }

        /** What the line is to say: as typed, or as the suggestion that was chosen. */
        String line() {
            return meant == null || meant.isBlank() ? quick : meant;
        }

        /** Where the maker came from, and goes back to. */
        String leadsTo(UUID batch) {
            return (BENCH.equals(from) ? "/bench/" : "/batch/") + batch;
        }

        boolean takesBack() {
            return Boolean.TRUE.equals(withdraw);
        }
    }

    @PostMapping("/line/{line}")
    String amend(@PathVariable UUID id, @PathVariable String line, Model model, Maker maker, Amendment form) {
        BatchId batch = new BatchId(id);
        try {
            save(batch, line, form, maker);
            return "redirect:" + form.leadsTo(id);
        } catch (ProblemsException e) {
            model.addAttribute("maybe", Logbook.maybe(e.problems(), form.line()));
            return line(
                    batch,
                    line,
                    model,
                    maker,
                    form,
                    problem(e, batches.get(batch).names(), maker));
        }
    }

    /** What nobody could be asked when it came is so. */
    @PostMapping("/line/{line}/answer")
    String answer(
            @PathVariable UUID id, @PathVariable String line, @RequestParam int revision, Model model, Maker maker) {
        BatchId batch = new BatchId(id);
        try {
            batches.answer(batch, line, revision, maker.displayName());
            return "redirect:/batch/" + id;
        } catch (ProblemsException e) {
            return line(
                    batch,
                    line,
                    model,
                    maker,
                    null,
                    problem(e, batches.get(batch).names(), maker));
        }
    }

    private void save(BatchId batch, String line, Amendment form, Maker maker) {
        Batch found = batches.get(batch);
        LoggedEntry now = find(found, line);
        if (form.takesBack()) {
            batches.withdraw(batch, line, form.revision(), form.reason(), maker.displayName());
            return;
        }
        if (now.entry().isDeed()) {
            throw ProblemsException.of("quick", ProblemKey.NOT_AMENDED);
        }
        // A time that was not touched is kept to the millisecond, words that were not touched to the last digit.
        String at = form.at().equals(maker.formats().input(now.at())) ? "" : form.at();
        if (form.line().equals(logbook.shorthand(found, now.entry(), maker))) {
            batches.amend(
                    batch,
                    line,
                    form.revision(),
                    now.entry(),
                    logbook.moment(found, at, maker).orElse(now.at()),
                    maker.displayName(),
                    Answers.ofTheForm());
            return;
        }
        Optional<Entry> sameThing = OnlyTheAmount.of(now.entry(), form.line(), maker.units());
        if (sameThing.isPresent()) {
            batches.amend(
                    batch,
                    line,
                    form.revision(),
                    sameThing.get(),
                    logbook.moment(found, at, maker).orElse(now.at()),
                    maker.displayName(),
                    Answers.ofTheForm());
            return;
        }
        Logbook.Reading reading = logbook.understand(batch, form.line(), at, maker);
        if (!reading.problems().isEmpty()) {
            throw new ProblemsException(reading.problems());
        }
        if (reading.entries().size() != 1) {
            throw ProblemsException.of("quick", ProblemKey.NOT_A_CHOICE, form.quick());
        }
        batches.amend(
                batch,
                line,
                form.revision(),
                reading.entries().get(0),
                reading.at().orElse(now.at()),
                maker.displayName(),
                Answers.ofTheForm());
    }

    private String problem(ProblemsException e, Names names, Maker maker) {
        List<Problem> worded = e.problems().stream()
                .map(p -> p.key() == ProblemKey.AMENDED_MEANWHILE
                        ? Problem.at(
                                p.field(),
                                p.key(),
                                p.values().get(0),
                                EntryWords.of((Entry) p.values().get(1), names, maker.formats())
                                        .text())
                        : p)
                .toList();
        return String.join(
                " ", worded.stream().map(p -> words.of(p, maker.formats())).toList());
    }

    private String line(BatchId id, String line, Model model, Maker maker, @Nullable Amendment typed, String problem) {
        Batch batch = batches.get(id);
        LoggedEntry found = find(batch, line);
        model.addAttribute("batch", batch.name());
        model.addAttribute("id", id.toString());
        model.addAttribute("line", pages.line(found, batch, maker.formats()));
        model.addAttribute("history", pages.history(found, batch, maker.formats()));
        model.addAttribute("quick", typed == null ? logbook.shorthand(batch, found.entry(), maker) : typed.quick());
        model.addAttribute("at", typed == null ? maker.formats().input(found.at()) : typed.at());
        model.addAttribute("reason", typed == null ? "" : typed.reason());
        model.addAttribute("deed", found.entry().isDeed());
        model.addAttribute("held", found.entry() instanceof Entry.Held);
        model.asMap().putIfAbsent("maybe", List.of());
        model.addAttribute("problem", problem);
        boolean ofTheBench = BENCH.equals(typed == null ? model.getAttribute("from") : typed.from());
        model.addAttribute("from", ofTheBench ? BENCH : "");
        model.addAttribute("leave", (ofTheBench ? "/bench/" : "/batch/") + id);
        return "batch/line";
    }

    private static LoggedEntry find(Batch batch, String line) {
        return batch.log().find(line).orElseThrow(() -> new NotFoundException("line " + line));
    }

    private String show(BatchId id, Model model, Maker maker, String quick, String at, String problem) {
        model.addAttribute("page", pages.page(batches.get(id), maker));
        model.addAttribute("recipe", batches.recipe(id).map(UUID::toString).orElse(""));
        model.asMap().putIfAbsent("maybe", List.of());
        model.addAttribute("quick", quick);
        model.addAttribute("at", at);
        model.addAttribute("problem", problem);
        model.addAttribute("key", UUID.randomUUID().toString());
        return "batch/batch";
    }
}
