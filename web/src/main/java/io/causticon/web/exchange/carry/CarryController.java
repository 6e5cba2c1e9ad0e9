package io.causticon.web.exchange.carry;

import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.print.TableFile;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.Role;
import io.causticon.web.store.arrival.ArrivalRow;
import io.causticon.web.store.arrival.Arrivals;
import io.causticon.web.store.arrival.Came;
import io.causticon.web.store.arrival.LogTable;
import io.causticon.web.store.arrival.Novelty;
import io.causticon.web.store.document.DocumentKind;
import io.causticon.web.store.document.Documents;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.HashSet;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestHeader;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.multipart.MultipartFile;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Out in open formats, and in again. */
@Controller
class CarryController {

    private static final String ZIP = "application/zip";

    private final Arrivals arrivals;
    private final Documents documents;
    private final WorkshopZip zips;
    private final LogTable logs;
    private final BatchFile paper;
    private final Path folder;
    private final Clock clock;

    CarryController(
            Arrivals arrivals,
            Documents documents,
            WorkshopZip zips,
            LogTable logs,
            BatchFile paper,
            @Value("${causticon.data}") Path data,
            Clock clock) {
        this.arrivals = arrivals;
        this.documents = documents;
        this.zips = zips;
        this.logs = logs;
        this.paper = paper;
        this.folder = data.toAbsolutePath().normalize().resolve("leaving");
        this.clock = clock;
    }

    @GetMapping("/carry")
    String show(Model model, Maker maker) {
        return page(model, maker, "");
    }

    private String page(Model model, Maker maker, String problem) {
        model.addAttribute("problem", problem);
        model.addAttribute(
                "counts",
                List.of(
                        documents.keys(DocumentKind.RECIPE).size(),
                        documents.keys(DocumentKind.BATCH).size(),
                        documents.keys(DocumentKind.TRIAL).size()));
        model.addAttribute(
                "came",
                maker.role() == Role.OWNER
                        ? arrivals.all().stream().map(r -> Came.of(r, maker)).toList()
                        : List.of());
        return "carry/carry";
    }

    /** One document as it stands. */
    @GetMapping("/carry/{kind}/{id}.json")
    ResponseEntity<byte[]> document(@PathVariable String kind, @PathVariable UUID id) {
        DocumentKind of = DocumentKind.called(kind)
                .filter(k -> k.root().isPresent())
                .orElseThrow(() -> new NotFoundException("documents of " + kind));
        byte[] json = documents.json(of, id).orElseThrow(() -> new NotFoundException(kind + " " + id));
        return attached(
                json,
                MediaType.APPLICATION_JSON,
                WorkshopZip.fileName(of, documents.rows(of, id).get(0)) + ".json");
    }

    @GetMapping("/carry/shelf.json")
    ResponseEntity<byte[]> shelf() {
        return attached(documents.json(DocumentKind.SHELF, "").orElseThrow(), MediaType.APPLICATION_JSON, "shelf.json");
    }

    private static ResponseEntity<byte[]> attached(byte[] content, MediaType type, String name) {
        HttpHeaders headers = new HttpHeaders();
        headers.setContentDisposition(ContentDisposition.attachment()
                .filename(name, StandardCharsets.UTF_8)
                .build());
        headers.setCacheControl("no-store");
        return ResponseEntity.ok().headers(headers).contentType(type).body(content);
    }

    /** The log of a batch as a table. */
    @GetMapping("/carry/batch/{id}/log.{kind:csv|xlsx}")
    void log(@PathVariable UUID id, @PathVariable String kind, Maker maker, HttpServletResponse response)
            throws IOException {
        var rows = documents.rows(DocumentKind.BATCH, id);
        if (rows.isEmpty()) {
            throw new NotFoundException("batch " + id);
        }
        TableFile.send(
                response,
                kind,
                WorkshopZip.fileName(DocumentKind.BATCH, rows.get(0)),
                LogTable.HEADINGS,
                to -> logs.write(id, maker.formats(), to));
    }

    /** A batch on paper. */
    @GetMapping("/carry/batch/{id}.pdf")
    ResponseEntity<byte[]> paper(@PathVariable UUID id, Maker maker) {
        byte[] pdf = paper.of(id, maker);
        return attached(
                pdf,
                MediaType.APPLICATION_PDF,
                WorkshopZip.fileName(
                                DocumentKind.BATCH,
                                documents.rows(DocumentKind.BATCH, id).get(0)) + ".pdf");
    }

    /** One batch with its pictures. */
    @GetMapping("/carry/batch/{id}.zip")
    void batch(@PathVariable UUID id, Maker maker, HttpServletResponse response) throws IOException {
        var rows = documents.rows(DocumentKind.BATCH, id);
        if (rows.isEmpty()) {
            throw new NotFoundException("batch " + id);
        }
        send(
                new WorkshopZip.Asked(false, DocumentKind.BATCH, List.of(id)),
                WorkshopZip.fileName(DocumentKind.BATCH, rows.get(0)),
                maker,
                response);
    }

    /** All of one kind, or the whole workshop. */
    @GetMapping("/carry/{kind}.zip")
    void all(
            @PathVariable String kind,
            Maker maker,
            @RequestParam(required = false) @Nullable List<UUID> id,
            HttpServletResponse response)
            throws IOException {
        DocumentKind of = DocumentKind.called(kind)
                .filter(k -> k.root().isPresent() || k == DocumentKind.WORKSHOP)
                .orElseThrow(() -> new NotFoundException("documents of " + kind));
        if (id != null && of != DocumentKind.WORKSHOP) {
            List<Object> chosen =
                    documents.keys(of).stream().filter(id::contains).toList();
            if (chosen.size() < new HashSet<>(id).size()) {
                throw new NotFoundException("one of what was chosen");
            }
            send(new WorkshopZip.Asked(false, of, chosen), kind + "-chosen", maker, response);
            return;
        }
        if (of == DocumentKind.WORKSHOP) {
            if (maker.role() != Role.OWNER) {
                throw new NotFoundException("workshop");
            }
            send(WorkshopZip.Asked.all(), "workshop", maker, response);
        } else {
            send(new WorkshopZip.Asked(false, of, documents.keys(of)), kind, maker, response);
        }
    }

    private void send(WorkshopZip.Asked asked, String name, Maker maker, HttpServletResponse response)
            throws IOException {
        Path file = zips.write(asked, folder, maker);
        try {
            String day = clock.instant().atZone(maker.zone()).toLocalDate().toString();
            attach(response, ZIP, name + "-" + day + ".zip");
            response.setContentLengthLong(Files.size(file));
            Files.copy(file, response.getOutputStream());
        } finally {
            Files.delete(file);
        }
    }

    private static void attach(HttpServletResponse response, String type, String name) {
        response.setContentType(type);
        response.setHeader(
                HttpHeaders.CONTENT_DISPOSITION,
                ContentDisposition.attachment()
                        .filename(name, StandardCharsets.UTF_8)
                        .build()
                        .toString());
        response.setHeader(HttpHeaders.CACHE_CONTROL, "no-store");
    }

    /** A file from a form; small ones come so where no script runs. */
    @PostMapping("/people/arrivals")
    String bring(
            Model model,
            Maker maker,
            @RequestParam(required = false) @Nullable MultipartFile file,
            HttpServletResponse response)
            throws IOException {
        return Uploads.ofForm(
                file,
                response,
                (in, name) -> "/people/arrivals/" + arrivals.lay(in, name, maker.displayName()),
                problem -> page(model, maker, problem));
    }

    /**
     * A file of whatever size, as the body of a request: it is written to the disk while it comes. Answers where it is
     * to be looked at.
     */
    @PostMapping(path = "/people/arrivals", consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<String> stream(
            Maker maker,
            @RequestHeader(name = "X-File-Name", defaultValue = "") String name,
            HttpServletRequest request)
            throws IOException {
        return Uploads.ofBody(
                request, name, (in, called) -> "/people/arrivals/" + arrivals.lay(in, called, maker.displayName()));
    }

    @GetMapping("/people/arrivals/{id}")
    String look(@PathVariable UUID id, Model model, Maker maker) {
        return arrivals.isOver(id) ? "redirect:/carry" : preview(id, model, maker, "");
    }

    private String preview(UUID id, Model model, Maker maker, String problem) {
        model.addAttribute("arrival", Came.of(arrivals.get(id), maker));
        model.addAttribute("preview", arrivals.look(id));
        model.addAttribute("standings", Novelty.values());
        model.addAttribute("problem", problem);
        return "carry/arrival";
    }

    @PostMapping("/people/arrivals/{id}/take")
    String take(
            @PathVariable UUID id, Model model, Maker maker, HttpServletResponse response, RedirectAttributes next) {
        return Uploads.tried(
                response,
                () -> {
                    arrivals.take(id);
                    next.addFlashAttribute("said", arrivals.get(id).told());
                    return "redirect:/carry";
                },
                problem -> preview(id, model, maker, problem));
    }

    @PostMapping("/people/arrivals/{id}/leave")
    String leave(@PathVariable UUID id) {
        arrivals.leave(id, ArrivalRow.Kind.DOCUMENTS, null);
        return "redirect:/carry";
    }

    @PostMapping("/people/arrivals/{id}/undo")
    String undo(@PathVariable UUID id, Model model, Maker maker, HttpServletResponse response) {
        return Uploads.tried(
                response,
                () -> {
                    arrivals.undo(id, maker.displayName());
                    return "redirect:/carry";
                },
                problem -> page(model, maker, problem));
    }
}
