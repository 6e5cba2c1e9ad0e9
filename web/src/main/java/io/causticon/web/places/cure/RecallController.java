package io.causticon.web.places.cure;

import io.causticon.core.model.log.BarStock;
import io.causticon.core.model.log.Whither;
import io.causticon.web.shared.Guard;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.batch.BatchSummary;
import io.causticon.web.store.batch.Scraps;
import io.causticon.web.store.batch.Summaries;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** Who has soap of a lot, an ingredient, a batch or what was melted down: whom to call when it must come back. */
@Controller
class RecallController {

    private static final int MOST_FOUND = 200;

    private final Summaries summaries;
    private final Scraps scraps;
    private final BatchService batches;

    RecallController(Summaries summaries, Scraps scraps, BatchService batches) {
        this.summaries = summaries;
        this.scraps = scraps;
        this.batches = batches;
    }

    /** One batch: where it is in its life, how many are here, how many are with others, each time that some left. */
    record Row(
            String href, String name, String code, String state, String here, String away, List<CurePage.Date> went) {}

    @GetMapping("/recall")
    String show(Model model, Maker maker, @RequestParam(defaultValue = "") String find) {
        String asked = find.trim();
        Map<BatchId, BatchSummary> found = new LinkedHashMap<>();
        if (!asked.isEmpty()) {
            summaries
                    .page(Summaries.Which.ALL, asked, Optional.empty(), Optional.empty(), MOST_FOUND)
                    .batches()
                    .forEach(b -> withDescendants(b, found));
        }
        List<Row> rows = found.values().stream()
                .filter(BatchSummary::isReadable)
                .flatMap(s -> Guard.of(s.code(), () -> row(batches.get(s.id()), s, maker)).stream())
                // Those that somebody has stand first: there is somebody to call.
                .sorted(Comparator.comparing((Row r) -> r.away().equals("0")))
                .toList();
        model.addAttribute("find", asked);
        model.addAttribute("rows", rows);
        model.addAttribute("most", found.size() >= MOST_FOUND);
        model.addAttribute("unreadable", summaries.unreadable().size());
        return "cure/recall";
    }

    /** What was melted down from it holds the lot as well, and what was melted down from that. */
    private void withDescendants(BatchSummary batch, Map<BatchId, BatchSummary> found) {
        if (found.putIfAbsent(batch.id(), batch) == null) {
            scraps.takenBy(batch.id()).stream()
                    .flatMap(k -> BatchId.read(k.batch()).stream())
                    .flatMap(id -> summaries.of(id).stream())
                    .forEach(b -> withDescendants(b, found));
        }
    }

    private static Row row(Batch batch, BatchSummary kept, Maker maker) {
        BarStock stock = BarStock.of(batch.log());
        int away = stock.count(Whither.SOLD) + stock.count(Whither.GIVEN);
        return new Row(
                "/batch/" + batch.id() + "/cure",
                batch.name(),
                batch.code(),
                kept.state().words(),
                stock.cut() == 0 ? "not cut" : String.valueOf(stock.left()),
                String.valueOf(away),
                CurePages.went(batch, maker.formats()));
    }
}
