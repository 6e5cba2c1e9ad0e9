package io.causticon.web.places.rework;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.shelf.Pantry;
import io.causticon.web.store.shelf.ShelfService;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.util.UriComponentsBuilder;
import org.springframework.web.util.UriUtils;

/**
 * Scraps become a batch again. What is typed stands in the address until it is begun: nothing of it is lost on the way
 * back.
 */
@Controller
@RequestMapping("/rework")
class ReworkController {

    private static final Set<String> CARRIED = Set.of("_csrf", "key");

    /** Longer addresses are cut off on their way. */
    private static final int LONGEST = 4000;

    private final ReworkPages pages;
    private final ShelfService shelf;
    private final BatchService batches;
    private final Clock clock;

    ReworkController(ReworkPages pages, ShelfService shelf, BatchService batches, Clock clock) {
        this.pages = pages;
        this.shelf = shelf;
        this.batches = batches;
        this.clock = clock;
    }

    @GetMapping
    String show(Model model, Maker maker, @RequestParam Map<String, String> asked) {
        Map<String, String> typed = pages.asMeant(asked, maker);
        return show(model, maker, typed, pages.read(typed, maker));
    }

    /**
     * Works it out without keeping anything; what was typed goes on in the address, without what the form carried
     * besides.
     */
    @PostMapping("/ask")
    String ask(Model model, Maker maker, @RequestParam Map<String, String> typed) {
        Map<String, String> said = new TreeMap<>(typed);
        said.keySet().removeAll(CARRIED);
        said.values().removeIf(String::isBlank);
        UriComponentsBuilder address = UriComponentsBuilder.fromPath("/rework");
        said.keySet().forEach(field -> address.queryParam(UriUtils.encode(field, StandardCharsets.UTF_8), "{value}"));
        List<String> values = List.copyOf(said.values());
        String to = address.encode().buildAndExpand(values.toArray()).toUriString();
        return to.length() > LONGEST ? show(model, maker, typed, pages.read(typed, maker)) : "redirect:" + to;
    }

    @PostMapping
    String begin(Model model, Maker maker, @RequestParam Map<String, String> typed, @RequestParam String key) {
        ReworkPages.Reading reading = pages.read(typed, maker);
        try {
            BatchPlan plan = pages.plan(reading);
            BatchId batch = batches.begin(plan, null, 1, clock.instant(), maker.displayName(), maker.zone(), key);
            return "redirect:/bench/" + batch;
        } catch (ProblemsException e) {
            e.problems().stream()
                    .filter(p -> !reading.form().problems().all().contains(p))
                    .forEach(p -> reading.form().problems().add(p));
            return show(model, maker, typed, reading);
        }
    }

    private String show(Model model, Maker maker, Map<String, String> typed, ReworkPages.Reading reading) {
        Pantry pantry = shelf.pantry();
        model.addAttribute("page", pages.page(reading, typed, maker));
        model.addAttribute(
                "fats",
                pantry.catalogue().fats().stream()
                        .sorted(Comparator.comparing(f -> f.name()))
                        .toList());
        model.addAttribute(
                "additives",
                pantry.catalogue().additives().stream()
                        .sorted(Comparator.comparing(a -> a.name()))
                        .toList());
        model.addAttribute("moulds", pantry.moulds());
        model.addAttribute("unit", maker.formats().massUnit());
        model.addAttribute("key", UUID.randomUUID().toString());
        return "rework/rework";
    }
}
