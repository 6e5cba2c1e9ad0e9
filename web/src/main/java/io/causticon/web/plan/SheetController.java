package io.causticon.web.plan;

import io.causticon.core.formula.BatchPlan;
import io.causticon.web.account.Maker;
import io.causticon.web.batch.Batch;
import io.causticon.web.batch.BatchId;
import io.causticon.web.batch.BatchService;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.ModelAttribute;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** The batch sheet to print, and two versions of a recipe side by side. */
@Controller
class SheetController {

    private final RecipeService recipes;
    private final BatchService batches;
    private final WorkshopMemory memory;

    SheetController(RecipeService recipes, BatchService batches, WorkshopMemory memory) {
        this.recipes = recipes;
        this.batches = batches;
        this.memory = memory;
    }

    @GetMapping("/plan/{id}/sheet")
    String ofRecipe(
            @PathVariable UUID id,
            @RequestParam(required = false) @Nullable Integer version,
            Model model,
            @ModelAttribute("maker") Maker maker) {
        RecipeService.Recipe recipe = version == null ? recipes.latest(id) : recipes.at(id, version);
        return sheet(model, recipe.plan(), "version " + recipe.version(), "/plan/" + id, maker);
    }

    @GetMapping("/plan/batch/{id}/sheet")
    String ofBatch(@PathVariable BatchId id, Model model, @ModelAttribute("maker") Maker maker) {
        Batch batch = batches.get(id);
        return sheet(
                model,
                batch.plan(),
                batch.code() + ", begun " + maker.formats().moment(batch.log().begun()),
                "/batch/" + id,
                maker);
    }

    @GetMapping("/plan/{id}/compare")
    String compare(
            @PathVariable UUID id,
            @RequestParam int a,
            @RequestParam int b,
            Model model,
            @ModelAttribute("maker") Maker maker) {
        RecipeService.Recipe first = recipes.at(id, a);
        RecipeService.Recipe second = recipes.at(id, b);
        model.addAttribute("name", second.plan().name());
        model.addAttribute("recipe", id.toString());
        model.addAttribute("a", a);
        model.addAttribute("b", b);
        model.addAttribute("versions", recipes.versions(id));
        model.addAttribute("comparison", Comparison.of(first.plan(), second.plan(), memory.trace(), maker));
        return "plan/compare";
    }

    private String sheet(Model model, BatchPlan plan, String what, String back, Maker maker) {
        model.addAttribute("sheet", BatchSheet.of(plan, memory.trace(), maker));
        model.addAttribute("name", plan.name());
        model.addAttribute("what", what);
        model.addAttribute("back", back);
        return "plan/sheet";
    }
}
