package io.causticon.web.places.practice;

import io.causticon.core.problem.Problems;
import io.causticon.core.workshop.practice.Drill;
import io.causticon.core.workshop.practice.HurriedBench;
import io.causticon.core.workshop.practice.PracticeLevel;
import io.causticon.core.workshop.practice.PracticeMove;
import io.causticon.core.workshop.practice.PracticeReview;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.practice.DrillRow;
import io.causticon.web.store.practice.PracticeRow;
import io.causticon.web.store.practice.PracticeService;
import java.time.Clock;
import java.time.Duration;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Practice: cases, drills, a record of both. */
@Controller
@RequestMapping("/practice")
class PracticeController {

    private final PracticeService practice;
    private final PracticePages pages;
    private final SkillPages skill;
    private final ProblemWords words;
    private final Clock clock;

    PracticeController(
            PracticeService practice, PracticePages pages, SkillPages skill, ProblemWords words, Clock clock) {
        this.practice = practice;
        this.pages = pages;
        this.skill = skill;
        this.words = words;
        this.clock = clock;
    }

    @GetMapping
    String all(Model model, Maker maker) {
        model.addAttribute("levels", SkillPages.levels());
        model.addAttribute("drills", skill.drills(maker));
        model.addAttribute("cases", skill.cases(maker));
        model.addAttribute("own", skill.record(maker.name(), true));
        model.addAttribute("others", skill.others(maker));
        model.addAttribute("shown", practice.isShown(maker.name()));
        model.addAttribute("key", UUID.randomUUID().toString());
        return "practice/practice";
    }

    @PostMapping
    String begin(Maker maker, @RequestParam String level, @RequestParam(defaultValue = "") String key) {
        PracticeLevel of = Arrays.stream(PracticeLevel.values())
                .filter(l -> l.name().equals(level))
                .findFirst()
                .orElseThrow(() -> new NotFoundException("level " + level));
        return "redirect:/practice/" + practice.begin(of, maker, key);
    }

    /** Whether owners see how it goes. */
    @PostMapping("/shown")
    String show(Maker maker, @RequestParam(defaultValue = "") String yes) {
        practice.show(maker, yes.equals("yes"));
        return "redirect:/practice#record";
    }

    @GetMapping("/{id}")
    String show(@PathVariable UUID id, Model model, Maker maker) {
        return show(practice.get(id, maker), PracticeForm.EMPTY, Map.of(), model, maker);
    }

    private String show(PracticeRow row, PracticeForm form, Map<String, String> problems, Model model, Maker maker) {
        if (!practice.isSame(row)) {
            model.addAttribute("ended", row.finishedAt() != null);
            model.addAttribute("points", row.points());
            model.addAttribute("was", pages.was(row).orElse(""));
            return "practice/gone";
        }
        if (row.finishedAt() != null) {
            model.addAttribute("review", pages.review(row, maker));
            model.addAttribute("level", row.level());
            model.addAttribute("key", UUID.randomUUID().toString());
            return "practice/review";
        }
        model.addAttribute("page", pages.page(row, maker));
        model.addAttribute("form", form);
        model.addAttribute("problems", problems);
        return "practice/case";
    }

    /** A look, a test, a wait; what is none changes nothing. */
    @PostMapping("/{id}/move")
    String move(@PathVariable UUID id, Maker maker, @RequestParam String move) {
        PracticeMove.read(move).ifPresent(m -> practice.move(id, m, maker));
        return "redirect:/practice/" + practice.get(id, maker).id();
    }

    @PostMapping("/{id}/conclude")
    String conclude(@PathVariable UUID id, Model model, Maker maker, PracticeForm form) {
        Problems problems = new Problems();
        PracticeReview.Conclusion said = form.read(problems);
        if (!problems.isEmpty()) {
            return show(practice.get(id, maker), form, words.byField(problems.all(), maker.formats()), model, maker);
        }
        practice.conclude(id, said, maker);
        return "redirect:/practice/" + id;
    }

    @PostMapping("/bench")
    String beginBench(Maker maker) {
        return "redirect:/practice/bench/" + practice.beginBench(maker);
    }

    @GetMapping("/bench/{id}")
    String bench(@PathVariable UUID id, Model model, Maker maker) {
        HurriedBench bench = PracticeService.bench(practice.benchRow(id, maker));
        model.addAttribute("id", id.toString());
        model.addAttribute("bench", bench);
        model.addAttribute("page", BenchWords.of(bench, maker.formats()));
        return "practice/bench";
    }

    /** What is none, or cannot be done now, changes nothing. */
    @PostMapping("/bench/{id}")
    String act(@PathVariable UUID id, Maker maker, @RequestParam String deed) {
        practice.benchRow(id, maker);
        HurriedBench.read(List.of(deed)).forEach(d -> practice.act(id, d, maker));
        return "redirect:/practice/bench/" + id;
    }

    @PostMapping("/drill")
    String beginDrill(Maker maker, @RequestParam String drill) {
        Drill of = PracticeService.named(drill).orElseThrow(() -> new NotFoundException("drill " + drill));
        return "redirect:/practice/drill/" + practice.beginDrill(of, maker);
    }

    @GetMapping("/drill/{id}")
    String drill(@PathVariable UUID id, Model model, Maker maker) {
        DrillRow row = practice.drill(id, maker);
        Drill drill = PracticeService.of(row);
        Duration taken =
                row.finishedAt() == null ? Duration.between(row.begunAt(), clock.instant()) : SkillPages.taken(row);
        model.addAttribute("id", id.toString());
        model.addAttribute("drill", drill);
        model.addAttribute("options", drill.options(row.seed()));
        model.addAttribute("progress", PracticeService.progress(row));
        model.addAttribute("slipped", PracticeService.endsWithASlip(row));
        model.addAttribute("seconds", Math.max(0, taken.toSeconds()));
        model.addAttribute("harmful", row.harmful());
        return "practice/drill";
    }

    @PostMapping("/drill/{id}")
    String tap(@PathVariable UUID id, Maker maker, @RequestParam String option) {
        practice.tap(id, option, maker);
        return "redirect:/practice/drill/" + id;
    }
}
