package io.causticon.web.places.plan;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Pouring.SizedBy;
import io.causticon.core.science.fit.Proposal;
import io.causticon.core.workshop.advice.GelAdvice;
import io.causticon.web.places.plan.ComposePages.Sitting;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.shelf.ShelfService;
import java.time.Duration;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.util.MultiValueMap;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Changes of a recipe under way. */
@Controller
@RequestMapping("/plan")
class ComposeController {

    private static final Duration KNOWN_FOR = Duration.ofMinutes(10);

    private final ComposePages pages;
    private final ShelfService shelf;
    private final WorkshopMemory memory;

    ComposeController(ComposePages pages, ShelfService shelf, WorkshopMemory memory) {
        this.pages = pages;
        this.shelf = shelf;
        this.memory = memory;
    }

    /**
     * What is said of fats, liquids and additives where they are chosen. It changes with the tables and with what the
     * workshop has of its own.
     */
    @GetMapping("/known")
    ResponseEntity<Map<String, Map<String, KnownChoices.Known>>> known() {
        return ResponseEntity.ok()
                .cacheControl(CacheControl.maxAge(KNOWN_FOR).cachePrivate())
                .body(KnownChoices.of(shelf.pantry().catalogue()));
    }

    /** Works out a form, and keeps it as a draft. */
    @PostMapping("/reckon")
    String reckon(Model model, Maker maker, @RequestParam MultiValueMap<String, String> typed) {
        return pages.reckoned(model, pages.typed(typed, maker));
    }

    /** Gives the form an empty row in each list. */
    @PostMapping("/rows")
    String rows(Model model, Maker maker, @RequestParam MultiValueMap<String, String> typed) {
        return pages.answer(model, pages.typed(typed, maker), Map.of());
    }

    /** Makes one of the changes that what will bite proposes. */
    @PostMapping("/change")
    String change(
            Model model, Maker maker, @RequestParam MultiValueMap<String, String> typed, @RequestParam String change) {
        return pages.changed(model, pages.typed(typed, maker), (s, plan) -> {
            Formats formats = maker.formats();
            return Stream.concat(
                            pages.reckoner(plan, s).bites().stream().flatMap(b -> b.changes().stream()),
                            GelAdvice.changes(plan).stream())
                    .filter(c -> change.equals(c.id()))
                    .findFirst()
                    .map(c -> PlanForm.of(c.applyTo(plan), formats).keepingWishesOf(s.form()))
                    .orElse(s.form());
        });
    }

    /** Asks what would make it gel all through, and what not at all. */
    @PostMapping("/gel")
    String gel(Model model, Maker maker, @RequestParam MultiValueMap<String, String> typed) {
        return pages.changed(model, pages.typed(typed, maker), (s, plan) -> {
            model.addAttribute("gelRoads", GelWords.of(plan, pages.workshop(plan, s), maker.formats()));
            return s.form();
        });
    }

    @PostMapping("/scale")
    String scale(Model model, Maker maker, @RequestParam MultiValueMap<String, String> typed) {
        return pages.changed(model, pages.typed(typed, maker), (s, plan) -> Composer.scaled(s.form(), plan, maker));
    }

    /** Tells the same recipe by masses, or by shares of a total or of what the mould takes. */
    @PostMapping("/size")
    String size(Model model, Maker maker, @RequestParam MultiValueMap<String, String> typed, @RequestParam SizedBy by) {
        Sitting s = pages.typed(typed, maker);
        Optional<BatchPlan> plan = s.readUnnamed().plan();
        return plan.isPresent()
                ? pages.answer(model, s.with(Composer.sizedBy(s.form(), plan.get(), by, maker)), Map.of())
                : pages.answer(model, s.with(s.form().with("sizedBy", by.name())), Map.of());
    }

    /** Makes a milk of the form from powder and water. */
    @PostMapping("/powder")
    String powder(Model model, Maker maker, @RequestParam MultiValueMap<String, String> typed, @RequestParam int row) {
        return pages.composed(
                model, pages.typed(typed, maker), s -> Composer.fromPowder(s.form(), row, maker.formats()));
    }

    /** Lays equal cups out. */
    @PostMapping("/cups")
    String cups(Model model, Maker maker, @RequestParam MultiValueMap<String, String> typed) {
        return pages.composed(
                model,
                pages.typed(typed, maker),
                s -> Composer.cups(s.form(), s.readUnnamed().plan(), maker));
    }

    /**
     * Puts a row before the one above it.
     *
     * @param list fat, liquid, additive or part
     */
    @PostMapping("/up/{list}")
    String up(
            Model model,
            Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @PathVariable String list,
            @RequestParam int row) {
        return pages.composed(model, pages.typed(typed, maker), s -> Composer.up(s.form(), list, row));
    }

    /** Brings shares to a whole. */
    @PostMapping("/even")
    String even(Model model, Maker maker, @RequestParam MultiValueMap<String, String> typed) {
        return pages.composed(model, pages.typed(typed, maker), s -> Composer.evened(s.form()));
    }

    /** Proposes shares that meet what is ticked. */
    @PostMapping("/fit")
    String fit(
            Model model,
            Maker maker,
            @RequestParam MultiValueMap<String, String> typed,
            @RequestParam(defaultValue = "false") boolean take) {
        return pages.changed(model, pages.typed(typed, maker), (s, plan) -> {
            Proposal proposal = Composer.fit(s.form(), plan, s.pantry());
            if (take) {
                return PlanForm.of(plan.with(proposal.formula()), maker.formats())
                        .keepingWishesOf(s.form());
            }
            model.addAttribute("fit", FitWords.of(plan, proposal, s.pantry().prices(), memory.trace(), maker));
            return s.form();
        });
    }
}
