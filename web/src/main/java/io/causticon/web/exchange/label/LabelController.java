package io.causticon.web.exchange.label;

import io.causticon.core.model.log.BarStock;
import io.causticon.core.model.plan.Portion;
import io.causticon.core.workshop.assessment.Assessment;
import io.causticon.web.places.network.NetworkPlace;
import io.causticon.web.shared.Frame;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.batch.Assessments;
import io.causticon.web.store.batch.Batch;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import jakarta.servlet.http.HttpServletRequest;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.servlet.support.ServletUriComponentsBuilder;

/** Labels of a batch: chosen, looked at, and printed. */
@Controller
@RequestMapping("/batch/{id}/labels")
class LabelController {

    private static final MediaType SVG = MediaType.valueOf("image/svg+xml");
    private static final int MOST = 500;

    private final BatchService batches;
    private final Assessments assessments;
    private final Labels labels;
    private final NetworkPlace network;

    LabelController(BatchService batches, Assessments assessments, Labels labels, NetworkPlace network) {
        this.batches = batches;
        this.assessments = assessments;
        this.labels = labels;
        this.network = network;
    }

    /**
     * What is to be printed.
     *
     * @param kind {@code rack} or {@code bar}
     * @param sheet of labels
     * @param copies how many, as typed
     * @param part of which layer, colour or cup; empty for bars that may hold all of them
     * @param first the first place that is free on the first sheet, counted from 1, as typed
     */
    record Asked(
            @Nullable String kind,
            @Nullable String part,
            @Nullable String sheet,
            @Nullable String copies,
            @Nullable String first) {

        boolean isOfBars() {
            return "bar".equals(kind);
        }

        LabelSheet onto() {
            return LabelSheet.called(sheet == null ? "" : sheet).orElse(LabelSheet.ALL.get(isOfBars() ? 2 : 1));
        }

        /** One that the batch has. */
        String partOf(Batch batch) {
            return parts(batch).stream().filter(p -> p.equals(part)).findFirst().orElse("");
        }

        static int number(@Nullable String typed, int otherwise, int most) {
            return typed != null && typed.trim().matches("\\d{1,4}")
                    ? Math.max(1, Math.min(most, Integer.parseInt(typed.trim())))
                    : otherwise;
        }

        /** Whether something was typed there that is no such number. */
        static boolean isOdd(@Nullable String typed, int most) {
            return typed != null
                    && !typed.isBlank()
                    && (!typed.trim().matches("\\d{1,4}")
                            || Integer.parseInt(typed.trim()) < 1
                            || Integer.parseInt(typed.trim()) > most);
        }
    }

    @GetMapping
    String show(@PathVariable UUID id, Model model, Maker maker, Frame frame, Asked asked, HttpServletRequest request) {
        Batch batch = batches.get(new BatchId(id));
        LabelSheet sheet = asked.onto();
        LabelArt art = art(batch, asked, maker, frame, request);
        int bars = Math.max(1, BarStock.of(batch.log()).cut());
        model.addAttribute("batch", batch);
        model.addAttribute("id", id.toString());
        model.addAttribute("kind", asked.isOfBars() ? "bar" : "rack");
        model.addAttribute("parts", asked.isOfBars() ? parts(batch) : List.of());
        model.addAttribute("part", asked.partOf(batch));
        model.addAttribute("sheet", sheet.id());
        model.addAttribute("sheets", LabelSheet.ALL);
        model.addAttribute(
                "copies",
                asked.copies() == null ? String.valueOf(asked.isOfBars() ? Math.min(MOST, bars) : 1) : asked.copies());
        model.addAttribute("first", asked.first() == null ? "1" : asked.first());
        model.addAttribute("problem", problem(asked, sheet));
        model.addAttribute("svg", LabelPrint.svg(art));
        model.addAttribute("leftOut", art.leftOut());
        model.addAttribute("refused", refused(batch, asked));
        model.addAttribute("released", assessments.of(batch).state() == Assessment.State.RELEASED);
        model.addAttribute(
                "words",
                "Label of " + batch.name() + ": "
                        + (asked.isOfBars()
                                ? "what it is made of, what it weighs, " + batch.code()
                                : batch.code() + ", with a code that leads to " + address(batch, request)));
        model.addAttribute("on", maker.formats().day(on(batch)));
        return "label/labels";
    }

    /** Why nobody is given a bar of it, and there are no labels; empty where they may be. */
    private String refused(Batch batch, Asked asked) {
        if (!asked.isOfBars()) {
            return "";
        }
        if (assessments.of(batch).isHeld()) {
            return "This batch is held: nobody is given a bar, so there are no labels for them. One for the rack says"
                    + " that it is held.";
        }
        String part = asked.partOf(batch);
        return BarStock.of(batch.log()).apart().stream()
                .filter(a -> !part.isEmpty() && a.on().portion() != null && a.on().mayBeOf(part))
                .findFirst()
                .map(a -> "Bars of " + part + " are set apart (" + a.reason()
                        + "): nobody is given any, so there are no labels for them.")
                .orElse("");
    }

    private static List<String> parts(Batch batch) {
        return batch.plan().pouring().portioning().portions().stream()
                .map(Portion::name)
                .distinct()
                .toList();
    }

    private static String problem(Asked asked, LabelSheet sheet) {
        if (Asked.isOdd(asked.copies(), MOST)) {
            return "Copies: a number from 1 to " + MOST + ".";
        }
        return Asked.isOdd(asked.first(), sheet.count())
                ? "First free place: a number from 1 to " + sheet.count() + "."
                : "";
    }

    /** @throws io.causticon.web.shared.NotFoundException where there is no such batch */
    @GetMapping("/sheet.pdf")
    ResponseEntity<byte[]> pdf(
            @PathVariable UUID id, Maker maker, Frame frame, Asked asked, HttpServletRequest request) {
        Batch batch = batches.get(new BatchId(id));
        String refused = refused(batch, asked);
        if (!refused.isEmpty()) {
            return ResponseEntity.status(409)
                    .contentType(MediaType.TEXT_PLAIN)
                    .body(refused.getBytes(StandardCharsets.UTF_8));
        }
        int copies = Asked.number(asked.copies(), 1, MOST);
        List<LabelArt> all = new ArrayList<>(Collections.nCopies(copies, art(batch, asked, maker, frame, request)));
        LabelSheet sheet = asked.onto();
        int first = Asked.number(asked.first(), 1, sheet.count()) - 1;
        byte[] pdf = LabelPrint.pdf(all, sheet, first, batch.name() + " " + batch.code());
        return ResponseEntity.ok()
                .contentType(MediaType.APPLICATION_PDF)
                .headers(named(batch, "pdf"))
                .body(pdf);
    }

    @GetMapping("/label.svg")
    ResponseEntity<String> svg(
            @PathVariable UUID id, Maker maker, Frame frame, Asked asked, HttpServletRequest request) {
        Batch batch = batches.get(new BatchId(id));
        String refused = refused(batch, asked);
        if (!refused.isEmpty()) {
            return ResponseEntity.status(409).contentType(MediaType.TEXT_PLAIN).body(refused);
        }
        return ResponseEntity.ok()
                .contentType(SVG)
                .headers(named(batch, "svg"))
                .body(LabelPrint.svg(art(batch, asked, maker, frame, request)));
    }

    private static HttpHeaders named(Batch batch, String kind) {
        HttpHeaders headers = new HttpHeaders();
        headers.setContentDisposition(ContentDisposition.inline()
                .filename("label-" + batch.code().replaceAll("[^A-Za-z0-9-]", "") + "." + kind)
                .build());
        return headers;
    }

    private LabelArt art(Batch batch, Asked asked, Maker maker, Frame frame, HttpServletRequest request) {
        return asked.isOfBars()
                ? labels.bar(batch, asked.partOf(batch), asked.onto(), frame.workshop(), on(batch), maker.formats())
                : labels.rack(batch, assessments.of(batch), asked.onto(), address(batch, request), maker.formats());
    }

    /** Nobody is given a bar before it is ready: its label tells of that day, or of today where that is past. */
    private Instant on(Batch batch) {
        Instant ready = assessments.of(batch).dates().ready();
        return ready.isAfter(labels.today()) ? ready : labels.today();
    }

    /**
     * Where a telephone finds the batch: in the workshop's network if it listens there, else where this was asked from.
     */
    private String address(Batch batch, HttpServletRequest request) {
        String base = network.addresses().stream()
                .findFirst()
                .orElseGet(() -> ServletUriComponentsBuilder.fromContextPath(request)
                        .build()
                        .toUriString());
        return base + "/batch/" + batch.id();
    }
}
