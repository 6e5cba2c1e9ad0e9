package io.causticon.web.exchange.device;

import io.causticon.core.model.log.MeasurementPoint;
import io.causticon.core.model.said.notation.MassNotation;
import io.causticon.core.model.said.notation.NumberNotation;
import io.causticon.core.model.said.notation.TemperatureNotation;
import io.causticon.core.problem.ProblemsException;
import io.causticon.web.shared.AtOnce;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.shared.ProblemWords;
import io.causticon.web.shared.Redirect;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.account.SignedIn;
import io.causticon.web.store.batch.BatchId;
import io.causticon.web.store.batch.BatchService;
import io.causticon.web.store.device.Device;
import io.causticon.web.store.device.DeviceKind;
import io.causticon.web.store.device.DeviceService;
import io.causticon.web.store.device.Readings;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.MediaType;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.mvc.method.annotation.SseEmitter;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Devices: adding, tokens, what they watch, and the live feed of a bench. */
@Controller
class DeviceController {

    private final DeviceService devices;
    private final Readings readings;
    private final LiveFeed feed;
    private final BatchService batches;
    private final ProblemWords words;

    DeviceController(
            DeviceService devices, Readings readings, LiveFeed feed, BatchService batches, ProblemWords words) {
        this.devices = devices;
        this.readings = readings;
        this.feed = feed;
        this.batches = batches;
        this.words = words;
    }

    /** A line of the list. */
    record Line(String id, String name, String kind, String says, boolean simulated) {}

    @GetMapping("/devices")
    String list(Model model, Maker maker) {
        return show(model, Map.of(), "", "");
    }

    @PostMapping("/devices")
    String add(
            Model model,
            Maker maker,
            @RequestParam String name,
            @RequestParam DeviceKind kind,
            @RequestParam(defaultValue = "false") boolean simulated) {
        try {
            DeviceService.Added added = AtOnce.named("name", name.trim(), () -> devices.add(name, kind, simulated));
            return show(model, Map.of(), "", simulated ? "" : added.token());
        } catch (ProblemsException e) {
            return show(model, words.byField(e.problems(), maker.formats()), name, "");
        }
    }

    @PostMapping("/devices/{id}/retire")
    String retire(@PathVariable UUID id) {
        devices.retire(id);
        return "redirect:/devices";
    }

    /** What was typed to put a device to a bench, kept when it cannot be taken. */
    public record Watch(String device, String spot, String everySeconds, String onChange) {}

    @PostMapping("/bench/{batch}/device")
    String watch(
            @PathVariable UUID batch,
            Maker maker,
            @RequestParam UUID device,
            @RequestParam(required = false) @Nullable MeasurementPoint spot,
            @RequestParam(defaultValue = "") String everySeconds,
            @RequestParam(defaultValue = "") String onChange,
            @RequestParam(defaultValue = "") String step,
            RedirectAttributes after) {
        if (batches.name(new BatchId(batch)).isEmpty()) {
            throw new NotFoundException("batch " + batch);
        }
        try {
            Integer every = everySeconds.isBlank() ? null : (int) NumberNotation.read("everySeconds", everySeconds);
            Double change = onChange.isBlank() ? null : change(device, onChange, maker);
            devices.watch(device, new BatchId(batch), spot, every, change);
        } catch (ProblemsException e) {
            after.addFlashAttribute(
                    "deviceProblem",
                    words.byField(e.problems(), maker.formats())
                            .values()
                            .iterator()
                            .next());
            after.addFlashAttribute(
                    "deviceTyped",
                    new Watch(device.toString(), spot == null ? "" : spot.name(), everySeconds, onChange));
        }
        return Redirect.to("/bench/" + batch, "step", step);
    }

    /** A change in the maker's own unit, as the device's base unit. */
    private double change(UUID device, String typed, Maker maker) {
        DeviceKind kind = devices.all().stream()
                .filter(d -> d.id().equals(device))
                .map(Device::kind)
                .findFirst()
                .orElse(DeviceKind.PH_PEN);
        return switch (kind) {
            case SCALE -> MassNotation.read("onChange", typed, maker.units()).grams();
            case THERMOMETER ->
                TemperatureNotation.readChange("onChange", typed, maker.units()).kelvin();
            case PH_PEN, BLENDER -> NumberNotation.read("onChange", typed);
        };
    }

    @PostMapping("/bench/{batch}/device/rest")
    String rest(@PathVariable UUID batch, @RequestParam UUID device, @RequestParam(defaultValue = "") String step) {
        devices.rest(device);
        return Redirect.to("/bench/" + batch, "step", step);
    }

    @GetMapping(path = "/bench/{batch}/live", produces = MediaType.TEXT_EVENT_STREAM_VALUE)
    SseEmitter live(@PathVariable UUID batch, Maker maker, @AuthenticationPrincipal SignedIn who) {
        if (batches.name(new BatchId(batch)).isEmpty()) {
            throw new NotFoundException("batch " + batch);
        }
        return feed.watch(new BatchId(batch), maker, who);
    }

    private String show(Model model, Map<String, String> problems, String typed, String token) {
        Stream<Line> unreadable = devices.unreadable().entrySet().stream()
                .map(u ->
                        new Line(u.getKey().toString(), u.getValue(), "cannot be understood", "reads nothing", false));
        Stream<Line> understood = devices.all().stream()
                .map(d -> new Line(
                        d.id().toString(),
                        d.name(),
                        d.kind().words() + (d.simulated() ? ", simulated" : ""),
                        readings.silence(d.id())
                                        .map(s -> "last heard " + s.toSeconds() + " s ago")
                                        .orElse("not heard yet")
                                + (d.batch() == null ? "" : ", at a bench"),
                        d.simulated()));
        model.addAttribute("devices", Stream.concat(understood, unreadable).toList());
        model.addAttribute("kinds", DeviceKind.values());
        model.addAttribute("problems", problems);
        model.addAttribute("typedName", typed);
        model.addAttribute("token", token);
        return "device/devices";
    }
}
