package io.causticon.web.harness;

import io.causticon.web.CausticonApplication;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.web.server.context.WebServerApplicationContext;
import org.springframework.context.ConfigurableApplicationContext;

/** The real application on a free port with the made-up workshop, started once for all tests of a run. */
public final class RunningApplication {

    private static RunningApplication running;

    private final ConfigurableApplicationContext context;
    private final int port;

    private RunningApplication() {
        try {
            Path data = Files.createTempDirectory("causticon-test");
            SpringApplication application = new SpringApplication(CausticonApplication.class);
            this.context = application.run(
                    "--server.port=0", "--causticon.data=" + data, "--causticon.demo=true", "--logging.level.io.causticon=warn");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
        this.port = ((WebServerApplicationContext) context).getWebServer().getPort();
        Runtime.getRuntime().addShutdownHook(new Thread(context::close));
    }

    public static synchronized RunningApplication get() {
        if (running == null) {
            running = new RunningApplication();
        }
        return running;
    }

    public String address() {
        return "http://localhost:" + port;
    }

    public <T> T bean(Class<T> type) {
        return context.getBean(type);
    }
}
