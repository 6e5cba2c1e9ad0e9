package io.causticon.web.places.dates;

import io.causticon.core.problem.Problem;
import io.causticon.core.problem.Problems;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.Summaries;
import io.causticon.web.store.dates.Feeds;
import io.causticon.web.store.dates.Makings;
import jakarta.servlet.http.HttpServletRequest;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.CacheControl;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Dates: looked at, taken along in a calendar, and reckoned backwards. */
@Controller
class DatesController {

    private static final MediaType CALENDAR = MediaType.parseMediaType("text/calendar;charset=UTF-8");

    private final DatesPages pages;
    private final Feeds feeds;
    private final Makings makings;
    private final Summaries summaries;
    private final ProblemWords words;

    DatesController(DatesPages pages, Feeds feeds, Makings makings, Summaries summaries, ProblemWords words) {
        this.pages = pages;
        this.feeds = feeds;
        this.makings = makings;
        this.summaries = summaries;
        this.words = words;
    }

    @GetMapping("/dates")
    String show(Model model, Maker maker, GoalForm form, @RequestParam(required = false) @Nullable String bars) {
        Problems problems = new Problems();
        // Who opens the page asked nothing; who pressed the button did, whatever is missing.
        DatesPages.Worked worked = bars == null && form.isEmpty()
                ? null
                : pages.work(form, maker, problems).orElse(null);
        return show(model, maker, form, worked, problems);
    }

    private String show(
            Model model, Maker maker, GoalForm form, DatesPages.@Nullable Worked worked, Problems problems) {
        Map<String, String> told = new HashMap<>();
        for (Problem p : problems.all()) {
            told.putIfAbsent(p.field(), words.of(p, maker.formats()));
        }
        model.addAttribute("page", pages.page(maker, worked));
        model.addAttribute("goal", form);
        model.addAttribute("problems", told);
        model.addAttribute("key", UUID.randomUUID().toString());
        model.asMap().putIfAbsent("address", "");
        return "dates/dates";
    }

    /** A proposal becomes plans: worked out anew, so that nothing is kept that is not proposed any more. */
    @PostMapping("/dates/goal")
    String keep(Model model, Maker maker, GoalForm form, @RequestParam String key) {
        Problems problems = new Problems();
        Optional<DatesPages.Worked> worked = pages.work(form, maker, problems);
        if (worked.isEmpty() || worked.get().found().makings().isEmpty()) {
            return show(model, maker, form, worked.orElse(null), problems);
        }
        makings.keep(
                worked.get().recipe(),
                worked.get().found().makings(),
                worked.get().words(),
                maker,
                key);
        return "redirect:/dates";
    }

    @PostMapping("/dates/making/{id}/away")
    String putAway(@PathVariable UUID id) {
        makings.putAway(id);
        return "redirect:/dates";
    }

    @PostMapping("/dates/feed")
    String make(Maker maker, HttpServletRequest request, RedirectAttributes once) {
        once.addFlashAttribute("address", base(request) + "/feed/" + feeds.make(maker) + ".ics");
        return "redirect:/dates#feed";
    }

    @PostMapping("/dates/feed/revoke")
    String revoke(Maker maker) {
        feeds.revoke(maker);
        return "redirect:/dates#feed";
    }

    @GetMapping("/dates.ics")
    ResponseEntity<String> all(Maker maker, HttpServletRequest request) {
        return answer(pages.calendar(maker, base(request)), "causticon.ics");
    }

    @GetMapping("/batch/{id}/dates.ics")
    ResponseEntity<String> batch(@PathVariable UUID id, Maker maker, HttpServletRequest request) {
        return summaries
                .of(new BatchId(id))
                .map(b -> answer(pages.calendar(b, maker, base(request)), b.code() + ".ics"))
                .orElseThrow(() -> new NotFoundException("batch " + id));
    }

    /** Without signing in: whoever has the address. */
    @GetMapping("/feed/{token}.ics")
    ResponseEntity<String> feed(@PathVariable String token, HttpServletRequest request) {
        return feeds.whose(token)
                .map(maker -> answer(pages.calendar(maker, base(request)), "causticon.ics"))
                .orElseGet(() -> ResponseEntity.status(404)
                        .contentType(MediaType.TEXT_PLAIN)
                        .body("There is no calendar at this address, or not any more."));
    }

    private static ResponseEntity<String> answer(String calendar, String name) {
        HttpHeaders headers = new HttpHeaders();
        headers.setContentDisposition(
                ContentDisposition.attachment().filename(name).build());
        return ResponseEntity.ok()
                .contentType(CALENDAR)
                .cacheControl(CacheControl.noStore())
                .headers(headers)
                .body(calendar);
    }

    private static String base(HttpServletRequest request) {
        return ServletUriComponentsBuilder.fromContextPath(request).build().toUriString();
    }
}
