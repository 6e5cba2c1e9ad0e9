package io.causticon.web.exchange.backup;

import io.causticon.web.shared.Formats;
import io.causticon.web.shared.NotFoundException;
import io.causticon.web.store.account.Maker;
import io.causticon.web.store.file.BackupFault;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.springframework.context.annotation.Configuration;
import org.springframework.core.io.FileSystemResource;
import org.springframework.core.io.Resource;
import org.springframework.http.ContentDisposition;
import org.springframework.http.HttpHeaders;
import org.springframework.http.MediaType;
import org.springframework.http.ResponseEntity;
import org.springframework.stereotype.Controller;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.servlet.HandlerInterceptor;
import org.springframework.web.servlet.ModelAndView;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;
import org.springframework.web.servlet.mvc.support.RedirectAttributes;

/** Copies on the owner's settings page. */
@Controller
class BackupController {

    private static final Duration OLD = Duration.ofDays(2);
    private static final String SETTINGS = "account/settings";
    private static final double MEGABYTE = 1024.0 * 1024;

    private final Backups backups;

    BackupController(Backups backups) {
        this.backups = backups;
    }

    /** One copy: the name of its file, how old and how large it is. */
    record Line(String name, String age, String size) {}

    /** What the settings page shows: how it stands, whether that is well, and what is kept. */
    record Shown(String words, boolean well, List<Line> copies) {}

    /** Gives the settings page what is kept. */
    @Configuration(proxyBeanMethods = false)
    static class Advice implements WebMvcConfigurer, HandlerInterceptor {

        private final Backups backups;
        private final Clock clock;

        Advice(Backups backups, Clock clock) {
            this.backups = backups;
            this.clock = clock;
        }

        @Override
        public void addInterceptors(InterceptorRegistry registry) {
            registry.addInterceptor(this);
        }

        @Override
        public void postHandle(
                HttpServletRequest request, HttpServletResponse response, Object handler, @Nullable ModelAndView page) {
            if (page != null && SETTINGS.equals(page.getViewName())) {
                page.addObject("backups", shown());
            }
        }

        private Shown shown() {
            Instant now = clock.instant();
            List<Backups.Copy> all = backups.all();
            List<Line> lines = all.stream()
                    .map(c -> new Line(
                            c.name(),
                            Formats.duration(Duration.between(c.at(), now)),
                            Formats.number(c.bytes() / MEGABYTE, 1) + " MB"))
                    .toList();
            if (!backups.fault().isEmpty()) {
                return new Shown(backups.fault(), false, lines);
            }
            if (all.isEmpty()) {
                return new Shown("No copy yet. The first is written in the night.", false, lines);
            }
            Duration age = Duration.between(all.get(0).at(), now);
            return new Shown("The last copy is " + Formats.duration(age) + " old.", age.compareTo(OLD) < 0, lines);
        }
    }

    @PostMapping("/backups")
    String now(Maker maker, RedirectAttributes next) {
        try {
            next.addFlashAttribute(
                    "kept",
                    "A copy is kept, and was read again to the last row. "
                            + backups.today(maker.zone()).inWords(maker.formats()::moment) + ".");
        } catch (BackupFault e) {
            next.addFlashAttribute("kept", "");
        }
        return "redirect:/settings#kept-safe";
    }

    @GetMapping("/backups/{name}")
    ResponseEntity<Resource> load(@PathVariable String name) {
        Path file = backups.file(name).orElseThrow(() -> new NotFoundException("copy " + name));
        return ResponseEntity.ok()
                .header(
                        HttpHeaders.CONTENT_DISPOSITION,
                        ContentDisposition.attachment()
                                .filename("causticon-" + name)
                                .build()
                                .toString())
                .contentType(MediaType.APPLICATION_OCTET_STREAM)
                .body(new FileSystemResource(file));
    }
}
