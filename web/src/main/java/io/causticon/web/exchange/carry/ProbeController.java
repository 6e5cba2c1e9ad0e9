package io.causticon.web.exchange.carry;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.said.intake.LoggerShape;
import io.causticon.core.model.said.intake.LoggerShape.Reading;
import io.causticon.core.model.said.intake.TimeShape;
import io.causticon.web.shared.Formats;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.arrival.ArrivalRow;
import io.causticon.web.store.arrival.Arrivals;
import io.causticon.web.store.arrival.Came;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.document.DocumentFault;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.io.InputStream;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.TreeSet;
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

/** Readings of a probe from a file into the log of a batch. */
@Controller
@RequestMapping("/batch/{id}/probe")
class ProbeController {

    private static final List<String> FIELDS =
            List.of("time", "clock", "shape", "zone", "beginning", "value", "scale", "spot");

    private final ProbeFiles files;
    private final Arrivals arrivals;
    private final BatchService batches;

    ProbeController(ProbeFiles files, Arrivals arrivals, BatchService batches) {
        this.files = files;
        this.arrivals = arrivals;
        this.batches = batches;
    }

    @GetMapping
    String show(@PathVariable UUID id, Model model, Maker maker) {
        return page(id, model, maker, "");
    }

    private String page(UUID id, Model model, Maker maker, String problem) {
        model.addAttribute("batch", batches.get(new BatchId(id)));
        model.addAttribute("problem", problem);
        model.addAttribute(
                "came", files.of(id).stream().map(r -> Came.of(r, maker)).toList());
        return "carry/probe";
    }

    @PostMapping
    String bring(
            @PathVariable UUID id,
            Model model,
            Maker maker,
            @RequestParam(required = false) @Nullable MultipartFile file,
            HttpServletResponse response)
            throws IOException {
        return Uploads.ofForm(
                file, response, (in, name) -> lay(id, in, name, maker), problem -> page(id, model, maker, problem));
    }

    /** A file of whatever size, as the body of a request. */
    @PostMapping(consumes = MediaType.APPLICATION_OCTET_STREAM_VALUE)
    ResponseEntity<String> stream(
            @PathVariable UUID id,
            Maker maker,
            @RequestHeader(name = "X-File-Name", defaultValue = "") String name,
            HttpServletRequest request)
            throws IOException {
        return Uploads.ofBody(request, name, (in, called) -> lay(id, in, called, maker));
    }

    private String lay(UUID id, InputStream in, String name, Maker maker) {
        return "/batch/" + id + "/probe/" + files.lay(id, in, name, maker);
    }

    /** Something to choose. */
    record Choice(String value, String words, boolean chosen) {}

    /** What can be corrected. */
    record Fields(
            List<Choice> time,
            List<Choice> clock,
            List<Choice> shape,
            List<Choice> zone,
            String beginning,
            boolean counts,
            boolean local,
            List<Choice> value,
            List<Choice> scale,
            List<Choice> spot) {}

    /** What it comes to, in words. */
    record Said(String readings, String kept, String span, String range, List<String> besides, List<String> problems) {}

    @GetMapping("/{arrival}")
    String look(
            @PathVariable UUID id,
            @PathVariable UUID arrival,
            Model model,
            Maker maker,
            @RequestParam Map<String, String> asked,
            HttpServletResponse response) {
        try {
            return arrivals.isOver(arrival)
                    ? "redirect:/batch/" + id + "/probe"
                    : preview(id, arrival, model, maker, asked, "");
        } catch (DocumentFault e) {
            response.setStatus(HttpServletResponse.SC_BAD_REQUEST);
            return page(id, model, maker, e.words());
        }
    }

    private String preview(UUID id, UUID arrival, Model model, Maker maker, Map<String, String> asked, String problem) {
        Map<String, String> said = asked.entrySet().stream()
                .filter(e -> FIELDS.contains(e.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        ProbeFiles.View view = files.look(arrival, id, said, maker);
        LoggerShape shape = view.shape();
        model.addAttribute("batch", batches.get(new BatchId(id)));
        model.addAttribute("view", view);
        model.addAttribute("arrival", Came.of(view.arrival(), maker));
        model.addAttribute("problem", problem);
        model.addAttribute("fields", shape == null ? null : fields(shape, view, maker));
        model.addAttribute("said", shape == null ? null : said(view.told(), maker.formats()));
        return "carry/probe-file";
    }

    private static Fields fields(LoggerShape shape, ProbeFiles.View view, Maker maker) {
        return new Fields(
                columns(view, shape.time(), false),
                columns(view, shape.clock(), true),
                Arrays.stream(TimeShape.values())
                        .map(s -> new Choice(s.name(), s.example(), s == shape.shape()))
                        .toList(),
                new TreeSet<>(ZoneId.getAvailableZoneIds())
                        .stream()
                                .map(z -> new Choice(z, z, z.equals(shape.zone().getId())))
                                .toList(),
                maker.formats().input(shape.beginning()),
                shape.shape().isSinceBeginning(),
                shape.shape().isLocal(),
                columns(view, shape.value(), false),
                Arrays.stream(LoggerShape.Scale.values())
                        .map(s -> new Choice(s.name(), word(s), s == shape.scale()))
                        .toList(),
                Arrays.stream(MeasurementPoint.values())
                        .map(s -> new Choice(s.name(), word(s), s == shape.spot()))
                        .toList());
    }

    private static String word(Enum<?> one) {
        return one.name().toLowerCase(java.util.Locale.ROOT);
    }

    private static List<Choice> columns(ProbeFiles.View view, int chosen, boolean orNone) {
        int width = view.first().stream().mapToInt(List::size).max().orElse(0);
        return IntStream.range(orNone ? -1 : 0, width)
                .mapToObj(i ->
                        new Choice(String.valueOf(i), i < 0 ? "in the same column" : columnName(view, i), i == chosen))
                .toList();
    }

    private static String columnName(ProbeFiles.View view, int column) {
        String name =
                column < view.heading().size() ? view.heading().get(column).strip() : "";
        return name.isEmpty() ? "column " + (column + 1) : name;
    }

    private static Said said(ProbeFiles.Told told, Formats formats) {
        List<Reading> kept = told.kept();
        if (kept.isEmpty()) {
            return new Said("No reading of this batch", "", "", "", besides(told, formats), told.problems());
        }
        Comparator<Reading> warmth = Comparator.comparing(Reading::temperature);
        return new Said(
                told.readings() + (told.readings() == 1 ? " reading" : " readings"),
                kept.size() + (kept.size() == 1 ? " line of the log" : " lines of the log"),
                formats.moment(kept.get(0).at()) + " to "
                        + formats.moment(kept.get(kept.size() - 1).at()),
                formats.temperature(kept.stream().min(warmth).orElseThrow().temperature()) + " to "
                        + formats.temperature(
                                kept.stream().max(warmth).orElseThrow().temperature()),
                besides(told, formats),
                told.problems());
    }

    private static List<String> besides(ProbeFiles.Told told, Formats formats) {
        List<String> words = new java.util.ArrayList<>();
        if (told.kept().size() < told.readings() && !told.kept().isEmpty()) {
            words.add("The others lie within " + Formats.number(formats.degreesApart(told.toleranceKelvin()), 1) + " "
                    + formats.temperatureUnit() + " of straight lines between these.");
        }
        if (told.doubles() > 0) {
            words.add(told.doubles() + " are in the log already.");
        }
        if (told.outside() > 0) {
            words.add(told.outside()
                    + " are from before this batch or from after now: is the day read right, and the time zone?");
        }
        if (told.bad() > 0) {
            words.add(told.bad() + (told.bad() == 1 ? " line is" : " lines are") + " none:");
        }
        return words;
    }

    @PostMapping("/{arrival}/take")
    String take(
            @PathVariable UUID id,
            @PathVariable UUID arrival,
            Model model,
            Maker maker,
            @RequestParam Map<String, String> asked,
            HttpServletResponse response) {
        Map<String, String> said = asked.entrySet().stream()
                .filter(e -> FIELDS.contains(e.getKey()))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
        return Uploads.tried(
                response,
                () -> {
                    files.take(arrival, id, said, maker);
                    return "redirect:/batch/" + id;
                },
                problem -> preview(id, arrival, model, maker, said, problem));
    }

    @PostMapping("/{arrival}/leave")
    String leave(@PathVariable UUID id, @PathVariable UUID arrival) {
        arrivals.leave(arrival, ArrivalRow.Kind.PROBE, id);
        return "redirect:/batch/" + id + "/probe";
    }

    @PostMapping("/{arrival}/undo")
    String undo(
            @PathVariable UUID id, @PathVariable UUID arrival, Model model, Maker maker, HttpServletResponse response) {
        return Uploads.tried(
                response,
                () -> {
                    arrivals.undoOf(arrival, id, maker.displayName());
                    return "redirect:/batch/" + id + "/probe";
                },
                problem -> page(id, model, maker, problem));
    }
}
