package io.causticon.web.places.cure;

import io.causticon.core.model.log.Bars;
import io.causticon.core.model.log.Entry;
import io.causticon.core.model.said.entry.EntryKinds;
import io.causticon.core.model.said.entry.Tells;
import io.causticon.core.problem.Problem;
import io.causticon.core.problem.ProblemKey;
import io.causticon.core.problem.Problems;
import io.causticon.core.problem.ProblemsException;
import io.causticon.core.science.diagnosis.BarTest;
import io.causticon.web.shared.print.DrawingAnswer;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.Logbook;
import io.causticon.web.store.batch.PhotoService;
import java.io.IOException;
import java.time.Duration;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Pattern;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/**
 * A batch after the cut: weighing and testing its bars. Whatever is answered becomes a line of the log, read like any
 * other.
 */
@Controller
@RequestMapping("/batch/{id}/cure")
class CureController {

    private static final List<String> WHERE = List.of("sold", "gave", "kept", "destroyed");
    private static final String BAR = "bar";
    private static final String TEST = "test";
    private static final String WENT = "went";
    private static final String STAND = "stand";
    private static final List<Class<?>> STANDS =
            List.of(Entry.BarsStand.class, Entry.HumidityRead.class, Entry.ToCure.class);

    /** With one comma or point, as it is read everywhere. */
    private static final Pattern NUMBER = Pattern.compile("\\d{1,6}(?:[.,]\\d{1,4})?");

    /** With its unit, of which there are many. */
    private static final Pattern HARDNESS = Pattern.compile("\\d{1,6}(?:[.,]\\d{1,4})?\\s*[\\p{L}\u00b0/]{2,8}");

    private static final String CITRIC = "citric";

    /** How an acid is said in a line; the strength stands within. */
    private static final Map<String, String> ACIDS = Map.of(
            "standard",
            "ml of {strength} N",
            CITRIC,
            "g of {strength} % citric",
            "monohydrate",
            "g of {strength} % citric monohydrate");

    private final BatchService batches;
    private final CurePages pages;
    private final Logbook logbook;
    private final PhotoService photos;

    CureController(BatchService batches, CurePages pages, Logbook logbook, PhotoService photos) {
        this.batches = batches;
        this.pages = pages;
        this.logbook = logbook;
        this.photos = photos;
    }

    @GetMapping
    String show(@PathVariable UUID id, Model model, Maker maker, @RequestParam(defaultValue = "") String test) {
        return show(new BatchId(id), model, maker, test, new TreeMap<>());
    }

    /** How it dries as a file. */
    @GetMapping("/drying.{kind:svg|png}")
    ResponseEntity<byte[]> drying(@PathVariable UUID id, @PathVariable String kind, Maker maker) {
        Batch batch = batches.get(new BatchId(id));
        return DrawingAnswer.of(pages.page(batch, maker, "").chart(), kind, batch.code() + "-drying");
    }

    /** One bar was weighed. */
    @PostMapping("/weigh")
    String weigh(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam Map<String, String> typed,
            @RequestParam String key) {
        return log(new BatchId(id), model, maker, typed, typed.getOrDefault("bar", ""), BAR, key);
    }

    /** A test was done: its answer at a tap, or the numbers that came of it; on which bar. */
    @PostMapping("/test")
    String test(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam Map<String, String> typed,
            @RequestParam String key) {
        BarTest test = BarTest.called(typed.getOrDefault("test", ""));
        String line = typed.getOrDefault("answer", "");
        boolean known = test.answers().stream().anyMatch(a -> a.line().equals(line));
        String on = typed.getOrDefault("on", "").trim();
        try {
            String said = known ? line : numbers(test, typed);
            String bars = on.matches("[\\d\\s,&+-]+|.*\\band\\s+\\d+") && !on.startsWith("bar") ? "bars " + on : on;
            return log(new BatchId(id), model, maker, typed, on.isEmpty() ? said : said + " on " + bars, TEST, key);
        } catch (ProblemsException e) {
            model.addAttribute(TEST + "Problem", logbook.problem(e.problems(), maker));
            return show(new BatchId(id), model, maker, typed.getOrDefault("test", ""), new TreeMap<>(typed));
        }
    }

    /** Bars left the rack: how many or which, where to, to whom. */
    @PostMapping("/went")
    String went(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam Map<String, String> typed,
            @RequestParam String key) {
        String where = WHERE.contains(typed.getOrDefault("where", "")) ? typed.get("where") : WHERE.get(0);
        String bars = typed.getOrDefault("bars", "").trim();
        String to = typed.getOrDefault("to", "").trim();
        String line = where + " " + bars + (to.isEmpty() ? "" : " to \"" + to.replace("\"", "\"\"") + "\"");
        return log(new BatchId(id), model, maker, typed, line, WENT, key);
    }

    /** How the bars stand, how damp the air is, or how long they are to cure. */
    @PostMapping("/stand")
    String stand(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam Map<String, String> typed,
            @RequestParam String key) {
        String field = typed.containsKey("weeks") ? "weeks" : "humidity";
        String number = typed.getOrDefault(field, "").trim();
        if (!typed.containsKey(STAND) && !NUMBER.matcher(number).matches()) {
            List<Problem> problems = List.of(new Problem(
                    number.isEmpty() ? ProblemKey.MISSING : ProblemKey.NOT_A_NUMBER, field, List.of(number)));
            model.addAttribute(STAND + "Problem", logbook.problem(problems, maker));
            return show(new BatchId(id), model, maker, "", new TreeMap<>(typed));
        }
        String line = typed.containsKey(STAND)
                ? typed.get(STAND)
                : "weeks".equals(field) ? "cure " + number + " weeks" : "humidity " + number;
        return log(new BatchId(id), model, maker, typed, line, STAND, key);
    }

    /** A picture of a bar, beside those that were taken of it before. */
    @PostMapping("/picture")
    String picture(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam MultipartFile photo,
            @RequestParam Map<String, String> typed,
            @RequestParam String key)
            throws IOException {
        BatchId batch = new BatchId(id);
        try {
            Bars of = logbook.bars(batch, "of", typed.getOrDefault("of", ""), maker);
            String name = photo.getOriginalFilename() == null ? "" : photo.getOriginalFilename();
            logbook.log(
                    batch,
                    new Entry.PhotoTaken(
                            photos.keep(batch, name, photo.getBytes()),
                            typed.getOrDefault("caption", "").trim(),
                            of),
                    "",
                    maker,
                    key);
            return "redirect:/batch/" + id + "/cure#pictures";
        } catch (ProblemsException e) {
            model.addAttribute("pictureProblem", logbook.problem(e.problems(), maker));
            return show(batch, model, maker, "", new TreeMap<>(typed));
        }
    }

    /** @throws ProblemsException if what is typed is no number: "12 December" is no titration of twelve per cent */
    private static String numbers(BarTest test, Map<String, String> typed) {
        String line = test.line()
                .replace("{acid}", ACIDS.getOrDefault(typed.getOrDefault("acid", ""), ACIDS.get("standard")));
        Problems problems = new Problems();
        for (BarTest.Blank blank : test.blanks()) {
            String number = typed.getOrDefault(blank.name(), "").trim();
            if (number.isEmpty()) {
                problems.add(blank.name(), ProblemKey.NO_NUMBER, blank.words());
            } else if (!(test == BarTest.WATER ? HARDNESS : NUMBER)
                    .matcher(number)
                    .matches()) {
                problems.add(blank.name(), ProblemKey.NOT_A_NUMBER, number);
            } else {
                line = line.replace("{" + blank.name() + "}", number);
            }
        }
        problems.throwIfAny();
        return line;
    }

    private String log(
            BatchId id, Model model, Maker maker, Map<String, String> typed, String line, String part, String key) {
        try {
            logbook.log(id, understood(id, typed, line, part, maker), Duration.ZERO, maker, key, Optional::empty);
            return "redirect:/batch/" + id + "/cure";
        } catch (ProblemsException e) {
            model.addAttribute(part + "Problem", logbook.problem(e.problems(), maker));
            return show(id, model, maker, typed.getOrDefault("test", ""), new TreeMap<>(typed));
        }
    }

    /** What a form says is one thing, and the thing that the form is for: nothing beside it is filed as words. */
    private Logbook.Reading understood(BatchId id, Map<String, String> typed, String line, String part, Maker maker) {
        if (WENT.equals(part) && typed.getOrDefault("bars", "").isBlank()) {
            throw ProblemsException.of("bars", ProblemKey.MISSING);
        }
        Logbook.Reading reading = logbook.understand(batches.get(id), line, "", Duration.ZERO, maker);
        if (!reading.problems().isEmpty()) {
            throw new ProblemsException(reading.problems());
        }
        boolean fits = reading.entries().size() == 1
                && reading.at().isEmpty()
                && switch (part) {
                    case BAR -> reading.entries().get(0) instanceof Entry.BarWeighed;
                    case WENT -> reading.entries().get(0) instanceof Entry.BarsWent;
                    case STAND ->
                        STANDS.stream()
                                .anyMatch(k -> k.isInstance(reading.entries().get(0)));
                    default -> EntryKinds.of(reading.entries().get(0)).tells() == Tells.TESTS;
                };
        if (!fits) {
            throw ProblemsException.of("quick", ProblemKey.NOT_UNDERSTOOD_HERE, line);
        }
        if (!typed.getOrDefault("on", "").isBlank() && reading.entries().get(0).on() == null) {
            throw ProblemsException.of("on", ProblemKey.NOT_BARS, typed.getOrDefault("on", ""));
        }
        return reading;
    }

    private String show(BatchId id, Model model, Maker maker, String test, Map<String, String> typed) {
        model.addAttribute("page", pages.page(batches.get(id), maker, test));
        model.addAttribute("typed", typed);
        model.asMap().putIfAbsent("barProblem", "");
        model.asMap().putIfAbsent("testProblem", "");
        model.asMap().putIfAbsent("wentProblem", "");
        model.asMap().putIfAbsent("standProblem", "");
        model.asMap().putIfAbsent("pictureProblem", "");
        model.addAttribute("key", UUID.randomUUID().toString());
        return "cure/cure";
    }
}
