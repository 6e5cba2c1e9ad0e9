package io.causticon.web.places.plan;

import io.causticon.core.model.plan.BatchPlan;
import io.causticon.core.model.plan.Superfat;
import io.causticon.core.model.plan.Weights;
import io.causticon.core.model.said.note.NotedLine;
import io.causticon.core.model.said.note.RecipeNote;
import io.causticon.core.model.substance.Catalogue;
import io.causticon.core.problem.Problem;
import io.causticon.web.shared.Formats;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.shelf.Pantry;
import io.causticon.web.store.shelf.ShelfService;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.function.UnaryOperator;
import org.springframework.stereotype.Service;

/** Plans from recipes that somebody wrote down elsewhere, line by line. */
@Service
public class NotedPlans {

    private final ShelfService shelf;
    private final WorkshopMemory memory;
    private final ProblemWords words;

    NotedPlans(ShelfService shelf, WorkshopMemory memory, ProblemWords words) {
        this.shelf = shelf;
        this.memory = memory;
        this.words = words;
    }

    /**
     * What became of a note.
     *
     * @param plan the plan; empty where something is not understood
     * @param problems why, by line, or of the whole
     * @param facts what it comes to, in words
     * @param alarm what is dangerous in it; empty where nothing is
     */
    public record Noted(Optional<BatchPlan> plan, List<String> problems, String facts, String alarm) {}

    /** What stands on the shelf now, for all recipes of one table. */
    public Reader reader(Maker maker) {
        return new Reader(maker, shelf.pantry());
    }

    /** Reads one recipe after the other. */
    public final class Reader {

        private final Maker maker;
        private final Pantry pantry;

        private Reader(Maker maker, Pantry pantry) {
            this.maker = maker;
            this.pantry = pantry;
        }

        public Catalogue catalogue() {
            return pantry.catalogue();
        }

        /**
         * @param name of the recipe
         * @param where tells where a line stands, before what is wrong with it; empty where that is no matter
         */
        public Noted read(String text, String name, UnaryOperator<String> where) {
            RecipeNote note = RecipeNote.read(text, maker.units(), pantry.catalogue());
            List<String> problems = new ArrayList<>();
            note.lines().forEach(l -> l.problem().ifPresent(p -> problems.add(where.apply(l.text()) + told(l, p))));
            if (text.lines().count() > RecipeNote.MOST_LINES) {
                problems.add("It has more than " + RecipeNote.MOST_LINES + " ingredients.");
            }
            PlanForm fresh = PlanForm.fresh(
                    maker.formats(),
                    maker.mixAt(),
                    pantry.moulds().get(0).name(),
                    memory.lastLyeVessel(pantry),
                    memory.lastFatsVessel(pantry));
            PlanReader.Result result = new PlanReader(
                            NotedRecipe.form(note, fresh, name, maker.formats()), maker.units(), pantry, null)
                    .read();
            result.problems().all().forEach(p -> problems.add(words.of(p, maker.formats())));
            Optional<BatchPlan> plan = problems.isEmpty() ? result.plan() : Optional.empty();
            return new Noted(
                    plan,
                    problems.stream().distinct().toList(),
                    plan.map(this::facts).orElse(""),
                    plan.map(this::alarm).orElse(""));
        }

        /** The same of a plan that is there already. */
        public Noted seen(BatchPlan plan) {
            return new Noted(Optional.of(plan), List.of(), facts(plan), alarm(plan));
        }

        private String told(NotedLine line, Problem problem) {
            String maybe = line.maybe().isEmpty() ? "" : " Maybe: " + String.join("; ", line.maybe()) + ".";
            return "\"" + line.text() + "\": " + words.of(problem, maker.formats()) + maybe;
        }

        private String facts(BatchPlan plan) {
            Formats formats = maker.formats();
            return formats.mass(plan.formula().fatMass()) + " of fats, superfat "
                    + formats.percent(plan.formula().superfat(), 1);
        }

        private String alarm(BatchPlan plan) {
            double excess = Superfat.distribution(
                            Weights.planned(plan.formula()).shownOn(plan.scales()),
                            plan.formula().alkali(),
                            plan.scales())
                    .probabilityBelow(0);
            return excess < Superfat.ALARMING_EXCESS.fraction()
                    ? ""
                    : "More lye than its fats take, with a chance of " + Formats.probability(excess)
                            + ". Look at it before anybody makes it.";
        }
    }
}
