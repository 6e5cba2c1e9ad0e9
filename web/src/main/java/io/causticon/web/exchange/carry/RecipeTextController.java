package io.causticon.web.exchange.carry;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.web.places.plan.NotedPlans;
import io.causticon.web.shared.QrCode;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.PlanCodec;
import io.causticon.web.store.document.DocumentFault;
import io.causticon.web.store.recipe.RecipeService;
import java.util.UUID;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** A recipe as a short text and as a code, out and in. */
@Controller
class RecipeTextController {

    /** What a code can hold and a camera can still read. */
    private static final int LONGEST_CODE = 2200;

    private static final int LONGEST_TEXT = 100_000;

    private final RecipeService recipes;
    private final PlanCodec plans;
    private final NotedPlans noted;

    RecipeTextController(RecipeService recipes, PlanCodec plans, NotedPlans noted) {
        this.recipes = recipes;
        this.plans = plans;
        this.noted = noted;
    }

    @GetMapping("/carry/recipe/{id}/text")
    String text(@PathVariable UUID id, Model model) {
        BatchPlan plan = recipes.latest(id).plan();
        String text = RecipeText.write(plans.write(plan));
        model.addAttribute("id", id);
        model.addAttribute("name", plan.name());
        model.addAttribute("text", text);
        model.addAttribute("code", text.length() <= LONGEST_CODE ? new QrCode(text) : null);
        return "carry/recipe-text";
    }

    @GetMapping("/carry/text")
    String show(Model model) {
        return page(model, "", "");
    }

    private static String page(Model model, String typed, String problem) {
        model.addAttribute("typed", typed);
        model.addAttribute("problem", problem);
        return "carry/text-in";
    }

    /** Looks at a text, and keeps it once it was seen. */
    @PostMapping("/carry/text")
    String look(
            Model model,
            Maker maker,
            @RequestParam(defaultValue = "") String text,
            @RequestParam(defaultValue = "false") boolean keep) {
        String typed = text.length() > LONGEST_TEXT ? text.substring(0, LONGEST_TEXT) : text;
        try {
            BatchPlan plan = read(RecipeText.read(typed));
            if (keep) {
                return "redirect:/plan/"
                        + recipes.create(plan, maker.displayName()).recipe();
            }
            model.addAttribute("seen", noted.reader(maker).seen(plan));
            model.addAttribute("name", plan.name());
            model.addAttribute(
                    "here",
                    recipes.inUse().stream().anyMatch(r -> plans.write(r.plan()).equals(plans.write(plan))));
            return page(model, typed, "");
        } catch (DocumentFault e) {
            return page(model, typed, e.words());
        }
    }

    private BatchPlan read(String kept) {
        try {
            return plans.read(kept);
        } catch (RuntimeException e) {
            // Whatever is wrong with it: the sum was right, so it was written so.
            throw new DocumentFault(
                    "This recipe holds what no plan here can: it was written by a newer Causticon, or by another"
                            + " hand.");
        }
    }
}
