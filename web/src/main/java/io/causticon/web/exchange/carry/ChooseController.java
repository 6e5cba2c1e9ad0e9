package io.causticon.web.exchange.carry;

import io.causticon.web.store.account.Maker;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Documents;
import io.causticon.web.store.document.Row;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** Several documents that are chosen, to leave together. */
@Controller
class ChooseController {

    /** As many as an address can name. */
    private static final int MOST_CHOSEN = 100;

    private final Documents documents;

    ChooseController(Documents documents) {
        this.documents = documents;
    }

    /** One to choose. */
    record Choosable(String id, String name, String when) {}

    /** Which of them are to leave. */
    @GetMapping("/carry/{kind:recipe|batch|trial}/choose")
    String choose(
            @PathVariable String kind,
            Model model,
            Maker maker,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(required = false) @Nullable String none) {
        DocumentKind of = DocumentKind.called(kind).orElseThrow();
        String looked = find.strip().toLowerCase(Locale.ROOT);
        List<Choosable> fit = documents.roots(of).stream()
                .map(r -> choosable(of, r, maker))
                .filter(c -> c.name().toLowerCase(Locale.ROOT).contains(looked))
                .toList();
        List<Choosable> youngest = new ArrayList<>(fit.subList(Math.max(0, fit.size() - MOST_CHOSEN), fit.size()));
        Collections.reverse(youngest);
        model.addAttribute("kind", kind);
        model.addAttribute("kinds", of == DocumentKind.BATCH ? "batches" : kind + "s");
        model.addAttribute("find", find);
        model.addAttribute("found", youngest);
        model.addAttribute("more", fit.size() - youngest.size());
        model.addAttribute("none", none != null);
        return "carry/choose";
    }

    private static Choosable choosable(DocumentKind kind, Row row, Maker maker) {
        String name = switch (kind) {
            case BATCH -> row.required("name") + ", " + row.required("code");
            case TRIAL -> row.required("question").toString();
            default -> row.required("name").toString();
        };
        Object when = row.required(
                kind == DocumentKind.BATCH ? "begun_at" : kind == DocumentKind.TRIAL ? "made_at" : "created_at");
        return new Choosable(row.key().toString(), name, maker.formats().date((Instant) when));
    }

    /** Those that were ticked; where none was, it is asked again. */
    @GetMapping("/carry/{kind:recipe|batch|trial}/chosen")
    String chosen(
            @PathVariable String kind,
            @RequestParam(defaultValue = "") String find,
            @RequestParam(required = false) @Nullable List<UUID> id) {
        if (id == null) {
            return "redirect:/carry/" + kind + "/choose?none&find=" + URLEncoder.encode(find, StandardCharsets.UTF_8);
        }
        return "forward:/carry/" + kind + ".zip";
    }
}
