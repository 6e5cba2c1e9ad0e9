package io.causticon.web.harness;

import io.causticon.web.CausticonApplication;
import jakarta.servlet.Filter;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.util.stream.Stream;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.context.support.GenericApplicationContext;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** The real application on a free port with the made-up workshop, started once for all tests of a run. */
public final class RunningApplication implements AutoCloseable {

    private static RunningApplication running;

    /** The made-up workshop as it was made once in this run: making it costs more than all else of a start. */
    private static Path madeUp;

    private final ConfigurableApplicationContext context;
    private final int port;
    private final Path data;

    private RunningApplication(Path data, boolean demo, ProcessorTimes times, String... more) {
        this(data, demo, times, null, more);
    }

    private RunningApplication(Path data, boolean demo, ProcessorTimes times, SteppedClock clock, String... more) {
        this.data = data;
        SpringApplication application = CausticonApplication.create();
        if (clock != null) {
            application.addInitializers(c -> ((GenericApplicationContext) c)
                    .registerBean("stepped", Clock.class, () -> clock, b -> b.setPrimary(true)));
        }
        if (times != null) {
            application.addInitializers(
                    c -> ((GenericApplicationContext) c).registerBean("processorTimes", Filter.class, () -> times));
        }
        this.context = application.run(Stream.concat(
                        Stream.of(
                                "--causticon.data=" + data,
                                "--causticon.demo=" + demo,
                                // Passwords of tests need no protection, and each sign-in would pay for it.
                                "--causticon.password-strength=4",
                                // What describes the interface for programs is here to write it down, and no part of
                                // the application.
                                "--springdoc.api-docs.enabled="
                                        + Stream.of(more).anyMatch(m -> m.startsWith("--springdoc.paths")),
                                "--logging.level.io.causticon=warn"),
                        Stream.of(Stream.of(more).anyMatch(m -> m.startsWith("--server.port")) ? more : withPort(more)))
                .toArray(String[]::new));
        this.port = ((WebServerApplicationContext) context).getWebServer().getPort();
    }

    /** On any port that is free. */
    private static String[] withPort(String... more) {
        return Stream.concat(Stream.of("--server.port=0"), Stream.of(more)).toArray(String[]::new);
    }

    public static synchronized RunningApplication get() {
        if (running == null) {
            RunningApplication application = new RunningApplication(folder(true), true, null);
            Runtime.getRuntime().addShutdownHook(new Thread(application.context::close));
            running = application;
        }
        return running;
    }

    /**
     * One of its own, for tests that damage it or that want an empty workshop.
     *
     * @param demo whether it has the made-up workshop
     * @param more settings, as on the command line
     */
    public static RunningApplication own(boolean demo, String... more) {
        return new RunningApplication(folder(demo), demo, null, more);
    }

    /** One of its own on data that are there already. */
    public static RunningApplication in(Path data) {
        return new RunningApplication(data, false, null);
    }

    /** One of its own that listens to the network, on data that are there, at a port that stays. */
    public static RunningApplication listening(Path data, String port) {
        return new RunningApplication(data, false, null, "--causticon.listen=true", "--server.port=" + port);
    }

    /** One of its own whose answers are timed. */
    public static RunningApplication timed(ProcessorTimes times) {
        return new RunningApplication(folder(true), true, times);
    }

    /** One of its own with the made-up workshop, in which time passes when the test says so. */
    public static RunningApplication at(SteppedClock clock, String... more) {
        return new RunningApplication(folder(true), true, null, clock, more);
    }

    /** A folder for the data of one application, with the made-up workshop in it or with nothing. */
    public static Path folder(boolean demo) {
        try {
            Path folder = Files.createTempDirectory("causticon-test");
            if (demo) {
                copy(madeUp(), folder);
            }
            return folder;
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    private static synchronized Path madeUp() throws IOException {
        if (madeUp == null) {
            Path folder = Files.createTempDirectory("causticon-made-up");
            new RunningApplication(folder, true, null).close();
            madeUp = folder;
        }
        return madeUp;
    }

    private static void copy(Path from, Path to) throws IOException {
        try (Stream<Path> files = Files.walk(from)) {
            for (Path file : files.filter(Files::isRegularFile).toList()) {
                Path copy = to.resolve(from.relativize(file));
                Files.createDirectories(copy.getParent());
                Files.copy(file, copy);
            }
        }
    }

    /** Where it keeps its data. */
    public Path data() {
        return data;
    }

    @Override
    public void close() {
        context.close();
    }

    public String address() {
        return "http://localhost:" + port;
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }

    /** The addresses of the application's own controllers; the actuator has others. */
    public RequestMappingHandlerMapping addresses() {
        return context.getBean("requestMappingHandlerMapping", RequestMappingHandlerMapping.class);
    }
}
