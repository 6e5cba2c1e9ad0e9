package io.causticon.web.exchange.carry;

import io.causticon.core.model.said.intake.RecipeSheet;
import io.causticon.core.model.said.intake.TimeShape;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.arrival.ArrivalRow;
import io.causticon.web.store.arrival.Arrivals;
import io.causticon.web.store.arrival.Came;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;

/** Recipes from somebody's own table. */
@Controller
@RequestMapping("/carry/table")
class TableController {

    private final SheetFiles files;
    private final Arrivals arrivals;

    TableController(SheetFiles files, Arrivals arrivals) {
        this.files = files;
        this.arrivals = arrivals;
    }

    @GetMapping
    String show(Model model, Maker maker) {
        return page(model, maker, "");
    }

    private String page(Model model, Maker maker, String problem) {
        model.addAttribute("problem", problem);
        model.addAttribute(
                "came", files.all().stream().map(r -> Came.of(r, maker)).toList());
        return "carry/table";
    }

    @PostMapping
    String bring(
            Model model,
            Maker maker,
            @RequestParam(required = false) @Nullable MultipartFile file,
            HttpServletResponse response)
            throws IOException {
        return Uploads.ofForm(
                file,
                response,
                (in, name) -> "/carry/table/" + files.lay(in, name, maker),
                problem -> page(model, maker, problem));
    }

    /** A file of whatever size, as the body of a request. */
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<String> stream(
            Maker maker,
            @RequestHeader(name = "X-File-Name", defaultValue = "") String name,
            HttpServletRequest request)
            throws IOException {
        return Uploads.ofBody(request, name, (in, called) -> "/carry/table/" + files.lay(in, called, maker));
    }

    /** A column and what it is. */
    record ColumnChoice(String name, String field, List<ProbeController.Choice> parts) {}

    /** A recipe as it is shown. */
    record Card(
            String name,
            String row,
            String words,
            String facts,
            String alarm,
            List<String> problems,
            boolean here,
            String batch,
            String batchAlarm,
            String batchProblem) {}

    @GetMapping("/{id}")
    String look(@PathVariable UUID id, Model model, Maker maker, @RequestParam Map<String, String> asked) {
        return arrivals.isOver(id) ? "redirect:/carry/table" : preview(id, model, maker, asked, "");
    }

    private String preview(UUID id, Model model, Maker maker, Map<String, String> asked, String problem) {
        SheetFiles.View view = files.look(id, said(asked), maker);
        model.addAttribute("arrival", Came.of(view.arrival(), maker));
        model.addAttribute("problem", problem);
        model.addAttribute("layout", layout(view.layout()));
        model.addAttribute("first", view.first());
        model.addAttribute("columns", columns(view));
        model.addAttribute(
                "recipes", view.recipes().stream().map(r -> card(r, maker)).toList());
        model.addAttribute("good", view.good().size());
        model.addAttribute("batches", view.batches().size());
        model.addAttribute(
                "days",
                view.days().size() < 2
                        ? List.of()
                        : view.days().stream()
                                .map(d -> new ProbeController.Choice(
                                        d.name(), day(d), d.name().equals(asked.get(SheetFiles.DAYS))))
                                .toList());
        return "carry/table-file";
    }

    private static Map<String, String> said(Map<String, String> asked) {
        return asked.entrySet().stream()
                .filter(e -> e.getKey().matches("part\\d{1,3}|" + SheetFiles.DAYS))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private static String layout(RecipeSheet.Layout layout) {
        return switch (layout) {
            case LINES -> "A row an ingredient.";
            case COLUMNS -> "A row a recipe, a column an ingredient.";
            case BLOCKS -> "Blocks with a title over each.";
            case NONE ->
                "No recipe was found in it: neither a heading that names an ingredient and an amount, nor columns that"
                        + " are ingredients, nor titles with ingredients under them.";
        };
    }

    private static List<ColumnChoice> columns(SheetFiles.View view) {
        return IntStream.range(0, view.heading().size())
                .mapToObj(i -> new ColumnChoice(
                        view.heading().get(i).isBlank()
                                ? "column " + (i + 1)
                                : view.heading().get(i).strip(),
                        "part" + i,
                        Arrays.stream(RecipeSheet.Part.values())
                                .map(p -> new ProbeController.Choice(
                                        p.name(), word(p), p == view.parts().get(i)))
                                .toList()))
                .toList();
    }

    private static String word(RecipeSheet.Part part) {
        return switch (part) {
            case NOTHING -> "an ingredient, or nothing";
            case MADE -> "the day it was made";
            case BARS -> "how many bars";
            default -> part.name().toLowerCase(Locale.ROOT);
        };
    }

    private static String day(TimeShape shape) {
        return switch (shape) {
            case DAY_FIRST -> "the day first: 28/11/2026";
            case MONTH_FIRST -> "the month first: 11/28/2026";
            default -> "the year first: 2026-11-28";
        };
    }

    private static Card card(SheetFiles.Read read, Maker maker) {
        return new Card(
                read.name(),
                "row " + read.row(),
                read.words().replace("\n", ", "),
                read.noted().facts(),
                read.noted().alarm(),
                read.noted().problems(),
                read.here(),
                read.batch().map(m -> made(m, maker)).orElse(""),
                read.batch()
                        .flatMap(SheetBatches.Made::burning)
                        .map(n -> "\"" + n + "\" speaks of burning: it comes held.")
                        .orElse(""),
                read.batchProblem());
    }

    private static String made(SheetBatches.Made made, Maker maker) {
        return "Made " + maker.formats().date(made.at())
                + (made.bars() == null ? "" : ", " + made.bars() + (made.bars() == 1 ? " bar" : " bars"))
                + (made.notes().isEmpty() ? "" : ": " + String.join("; ", made.notes()));
    }

    @PostMapping("/{id}/take")
    String take(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam Map<String, String> asked,
            HttpServletResponse response) {
        return take(id, false, model, maker, asked, response);
    }

    /** The recipes, and what was made of them. */
    @PostMapping("/{id}/take-batches")
    String takeBatches(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam Map<String, String> asked,
            HttpServletResponse response) {
        return take(id, true, model, maker, asked, response);
    }

    private String take(
            UUID id,
            boolean batchesToo,
            Model model,
            Maker maker,
            Map<String, String> asked,
            HttpServletResponse response) {
        return Uploads.tried(
                response,
                () -> {
                    files.take(id, said(asked), batchesToo, maker);
                    return batchesToo ? "redirect:/" : "redirect:/plan";
                },
                problem -> preview(id, model, maker, asked, problem));
    }

    @PostMapping("/{id}/leave")
    String leave(@PathVariable UUID id) {
        arrivals.leave(id, ArrivalRow.Kind.SHEET, null);
        return "redirect:/carry/table";
    }

    @PostMapping("/{id}/undo")
    String undo(@PathVariable UUID id, Model model, Maker maker, HttpServletResponse response) {
        return Uploads.tried(
                response,
                () -> {
                    arrivals.undoSheet(id, maker.displayName());
                    return "redirect:/carry/table";
                },
                problem -> page(model, maker, problem));
    }
}
