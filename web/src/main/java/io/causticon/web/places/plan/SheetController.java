package io.causticon.web.places.plan;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.recipe.RecipeService;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
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
            Maker maker) {
        RecipeService.Recipe recipe = version == null ? recipes.latest(id) : recipes.at(id, version);
        return sheet(model, recipe.plan(), "version " + recipe.version(), "/plan/" + id, maker);
    }

    @GetMapping("/plan/batch/{id}/sheet")
    String ofBatch(@PathVariable BatchId id, Model model, Maker maker) {
        Batch batch = batches.get(id);
        return sheet(
                model,
                batch.plan(),
                batch.code() + ", begun " + maker.formats().moment(batch.log().begun()),
                "/batch/" + id,
                maker);
    }

    /** One that can be compared with: a version of the same recipe, or the newest of another. */
    record Other(String value, String name) {}

    /**
     * Two recipes side by side.
     *
     * @param a version of this one
     * @param b version of this one, or the id of another, whose newest is taken
     */
    @GetMapping("/plan/{id}/compare")
    String compare(@PathVariable UUID id, @RequestParam int a, @RequestParam String b, Model model, Maker maker) {
        RecipeService.Recipe first = recipes.at(id, a);
        RecipeService.Recipe second =
                b.matches("\\d{1,9}") ? recipes.at(id, Integer.parseInt(b)) : recipes.latest(another(b));
        boolean same = second.recipe().equals(id);
        model.addAttribute(
                "name",
                same
                        ? second.plan().name()
                        : first.plan().name() + " and " + second.plan().name());
        model.addAttribute("first", same ? "version " + a : first.plan().name() + ", version " + a);
        model.addAttribute(
                "second",
                same ? "version " + second.version() : second.plan().name() + ", version " + second.version());
        model.addAttribute("recipe", id.toString());
        model.addAttribute("a", a);
        model.addAttribute("b", b);
        model.addAttribute("versions", recipes.versions(id));
        model.addAttribute(
                "others",
                recipes.all(false).stream()
                        .filter(r -> !r.recipe().equals(id) && r.newest().isPresent())
                        .map(r -> new Other(r.recipe().toString(), r.name()))
                        .toList());
        model.addAttribute("comparison", Comparison.of(first.plan(), second.plan(), memory.trace(), maker));
        return "plan/compare";
    }

    private static UUID another(String id) {
        try {
            return UUID.fromString(id);
        } catch (IllegalArgumentException e) {
            throw new NotFoundException("recipe " + id);
        }
    }

    private String sheet(Model model, BatchPlan plan, String what, String back, Maker maker) {
        model.addAttribute("sheet", BatchSheet.of(plan, memory.trace(), maker));
        model.addAttribute("degrees", maker.formats().temperatureUnit());
        model.addAttribute("name", plan.name());
        model.addAttribute("what", what);
        model.addAttribute("back", back);
        return "plan/sheet";
    }
}
