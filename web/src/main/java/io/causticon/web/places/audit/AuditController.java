package io.causticon.web.places.audit;

import io.causticon.web.shared.OpenCells;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.audit.AuditTrail;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.OutputStreamWriter;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.springframework.http.HttpHeaders;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.RequestParam;

/** The audit trail, for the owner to read and to take out. */
@Controller
class AuditController {

    private static final int A_PAGE = 100;
    private static final int AMENDMENTS = 60;
    private static final int ALL_AMENDMENTS = 5000;

    private final AuditTrail trail;

    AuditController(AuditTrail trail) {
        this.trail = trail;
    }

    /** One line of the page. */
    record DoneWords(String when, String name, String what, String batch, String href, String device) {}

    /** One amendment on the page. */
    record AmendedWords(String when, String by, String batch, String href, String before, String now, String reason) {}

    @GetMapping("/people/audit")
    String show(
            Model model,
            Maker maker,
            @RequestParam(defaultValue = "9223372036854775807") long before,
            @RequestParam(defaultValue = "") String name) {
        List<AuditTrail.Done> done = trail.done(before, name, A_PAGE);
        model.addAttribute("done", done.stream().map(d -> words(d, maker)).toList());
        model.addAttribute(
                "more", done.size() == A_PAGE ? done.get(done.size() - 1).number() : 0);
        model.addAttribute("names", trail.names());
        model.addAttribute("name", name);
        model.addAttribute(
                "amended",
                trail.amendments(AMENDMENTS, maker.formats()).stream()
                        .map(a -> new AmendedWords(
                                maker.formats().moment(a.at()),
                                a.by(),
                                a.batch(),
                                "/batch/" + a.id(),
                                a.before(),
                                a.now().isEmpty() ? "taken back" : a.now(),
                                a.reason()))
                        .toList());
        return "audit/audit";
    }

    private static DoneWords words(AuditTrail.Done d, Maker maker) {
        String href = d.batch().isEmpty() ? "" : "/batch/" + d.subject().split(" ")[0];
        return new DoneWords(maker.formats().moment(d.at()), d.name(), d.what(), d.batch(), href, d.device());
    }

    @GetMapping("/people/audit.csv")
    void table(HttpServletResponse response) throws IOException {
        Writer out = begin(response, "audit.csv");
        OpenCells cells = new OpenCells(out, List.of("number", "done_at", "name", "what", "subject", "device"));
        trail.each(d -> cells.row(d.number(), d.at(), d.name(), d.what(), d.subject(), d.device()));
        out.flush();
    }

    @GetMapping("/people/amendments.csv")
    void amendments(Maker maker, HttpServletResponse response) throws IOException {
        Writer out = begin(response, "amendments.csv");
        OpenCells cells = new OpenCells(out, List.of("amended_at", "by", "batch", "code", "before", "now", "reason"));
        trail.amendments(ALL_AMENDMENTS, maker.formats())
                .forEach(a -> cells.row(a.at(), a.by(), a.batch(), a.code(), a.before(), a.now(), a.reason()));
        out.flush();
    }

    private static Writer begin(HttpServletResponse response, String name) throws IOException {
        response.setContentType("text/csv;charset=UTF-8");
        response.setHeader(HttpHeaders.CONTENT_DISPOSITION, "attachment; filename=\"" + name + "\"");
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
        return new OutputStreamWriter(response.getOutputStream(), StandardCharsets.UTF_8);
    }
}
