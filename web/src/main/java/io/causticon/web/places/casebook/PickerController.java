package io.causticon.web.places.casebook;

import io.causticon.core.model.finding.Finding;
import io.causticon.core.model.finding.Findings;
import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.log.Presence;
import io.causticon.core.model.said.entry.QuickLine;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.Logbook;
import io.causticon.web.store.batch.PhotoService;
import java.io.IOException;
import java.time.Duration;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Says in pictures what is seen, what comes with it, and what was looked for and is not there. */
@Controller
@RequestMapping("/casebook/{id}/look")
class PickerController {

    private static final String ANSWER = "also-";

    private final BatchService batches;
    private final PickerPages pages;
    private final Logbook logbook;
    private final PhotoService photos;

    PickerController(BatchService batches, PickerPages pages, Logbook logbook, PhotoService photos) {
        this.batches = batches;
        this.pages = pages;
        this.logbook = logbook;
        this.photos = photos;
    }

    /** What was typed and touched on the page. */
    record Look(
            @Nullable String where,
            @Nullable String find,
            @Nullable String finding,
            @Nullable Presence presence,
            @Nullable String at,
            @Nullable String bars) {

        String words() {
            return Findings.find(TypedWords.of(finding)).map(Finding::words).orElse("");
        }

        PickerPages.Touched touched(Map<String, String> answers) {
            return new PickerPages.Touched(
                    TypedWords.of(where),
                    TypedWords.bounded(find),
                    TypedWords.of(finding),
                    presence == null ? Presence.SEEN : presence,
                    answers);
        }
    }

    @GetMapping
    String look(@PathVariable UUID id, Model model, Look look, @RequestParam Map<String, String> all) {
        return show(new BatchId(id), model, look, all);
    }

    @PostMapping
    String log(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            Look look,
            @RequestParam Map<String, String> all,
            @RequestParam(required = false) @Nullable MultipartFile photo,
            @RequestParam String key)
            throws IOException {
        BatchId batch = new BatchId(id);
        try {
            List<Entry> entries = entries(look, answers(all));
            // Before the picture is kept: one of a look that is not logged would lie there for nobody.
            logbook.moment(batches.get(batch), TypedWords.of(look.at()), maker);
            if (photo != null && !photo.isEmpty()) {
                String name = TypedWords.of(photo.getOriginalFilename());
                entries.add(new Entry.PhotoTaken(photos.keep(batch, name, photo.getBytes()), look.words()));
            }
            logbook.log(batch, entries, TypedWords.of(look.at()), Duration.ZERO, maker, key);
            return "redirect:/casebook/" + id;
        } catch (ProblemsException e) {
            model.addAttribute("problems", logbook.byField(e.problems(), maker));
            return show(batch, model, look, all);
        }
    }

    private static List<Entry> entries(Look look, Map<String, String> answers) {
        Finding finding = TypedWords.finding(look.finding());
        if (look.presence() == null) {
            throw ProblemsException.of("finding", ProblemKey.MISSING);
        }
        Bars on = QuickLine.bars("bars", TypedWords.of(look.bars()));
        List<Entry> entries = new ArrayList<>();
        entries.add(new Entry.Observed(finding.id(), look.presence(), on));
        if (look.presence() == Presence.SEEN) {
            for (Finding asked : Pictures.of(finding).asks()) {
                String answer = answers.getOrDefault(asked.id(), "");
                if (!answer.isEmpty()) {
                    entries.add(new Entry.Observed(asked.id(), presence(answer), on));
                }
            }
        }
        return entries;
    }

    private static Presence presence(String answer) {
        try {
            return Presence.valueOf(answer);
        } catch (IllegalArgumentException e) {
            throw new ProblemsException(List.of(new Problem(ProblemKey.NOT_A_CHOICE, "finding", List.of(answer))));
        }
    }

    private static Map<String, String> answers(Map<String, String> all) {
        Map<String, String> answers = new HashMap<>();
        all.forEach((name, value) -> {
            if (name.startsWith(ANSWER)) {
                answers.put(name.substring(ANSWER.length()), value);
            }
        });
        return answers;
    }

    private String show(BatchId batch, Model model, Look look, Map<String, String> all) {
        model.addAttribute("page", pages.page(batches.get(batch), look.touched(answers(all))));
        model.addAttribute("look", look);
        return "casebook/picker";
    }
}
