package io.causticon.web.places.history;

import io.causticon.web.shared.print.DrawingAnswer;
import io.causticon.web.store.account.Maker;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestParam;

/** What was made over the years. */
@Controller
class HistoryController {

    private static final int LONGEST_FIND = 120;

    private final HistoryPages pages;

    HistoryController(HistoryPages pages) {
        this.pages = pages;
    }

    @GetMapping("/history")
    String show(
            Model model,
            Maker maker,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String find) {
        String looked = find.length() > LONGEST_FIND ? find.substring(0, LONGEST_FIND) : find;
        model.addAttribute("page", pages.page(by, what, looked, maker));
        model.addAttribute("find", looked);
        model.addAttribute("chosenBy", by);
        model.addAttribute("chosenWhat", what);
        return "history/history";
    }

    /** One of its charts as a file. */
    @GetMapping("/history/chart-{number}.{kind:svg|png}")
    ResponseEntity<byte[]> chart(
            @PathVariable int number,
            @PathVariable String kind,
            Maker maker,
            @RequestParam(defaultValue = "") String by,
            @RequestParam(defaultValue = "") String what,
            @RequestParam(defaultValue = "") String find) {
        String looked = find.length() > LONGEST_FIND ? find.substring(0, LONGEST_FIND) : find;
        return DrawingAnswer.of(
                pages.page(by, what, looked, maker).panels().stream()
                        .map(HistoryPage.Panel::chart)
                        .toList(),
                number,
                kind,
                "history");
    }
}
