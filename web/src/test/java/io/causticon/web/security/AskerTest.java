package io.causticon.web.security;

import static org.assertj.core.api.Assertions.assertThat;

import io.causticon.web.shared.Asker;
import jakarta.servlet.http.HttpServlet;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.io.IOException;
import java.net.InetAddress;
import java.net.Socket;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.util.Optional;
import java.util.concurrent.BlockingQueue;
import java.util.concurrent.LinkedBlockingQueue;
import java.util.concurrent.SynchronousQueue;
import org.apache.catalina.Context;
import org.apache.catalina.startup.Tomcat;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.springframework.web.context.request.RequestContextHolder;
import org.springframework.web.context.request.ServletRequestAttributes;

/** Whether whoever waits for an answer is still there, seen from within the making of it, over a real connection. */
class AskerTest {

    @TempDir
    private Path folder;

    /** Looks whether its asker is there when it is told to, until it is told that it is done. */
    private static final class Slow extends HttpServlet {

        private static final long serialVersionUID = 1L;
        private final transient BlockingQueue<String> asked;
        private final transient BlockingQueue<Boolean> left;

        Slow(BlockingQueue<String> asked, BlockingQueue<Boolean> left) {
            this.asked = asked;
            this.left = left;
        }

        @Override
        protected void service(HttpServletRequest request, HttpServletResponse response) throws IOException {
            request.getInputStream().readAllBytes();
            RequestContextHolder.setRequestAttributes(new ServletRequestAttributes(request));
            try {
                while (!"done".equals(asked.take())) {
                    left.add(Asker.hasLeft());
                }
            } catch (InterruptedException e) {
                Thread.currentThread().interrupt();
            } finally {
                RequestContextHolder.resetRequestAttributes();
            }
        }
    }

    private final SynchronousQueue<String> asked = new SynchronousQueue<>();
    private final BlockingQueue<Boolean> left = new LinkedBlockingQueue<>();
    private final Tomcat server = new Tomcat();

    @BeforeEach
    void start() throws Exception {
        server.setBaseDir(folder.toString());
        server.setPort(0);
        Context context = server.addContext("", folder.toString());
        Tomcat.addServlet(context, "slow", new Slow(asked, left)).addMapping("/");
        server.getEngine().getPipeline().addValve(new BodyValve(r -> Optional.of("ines"), System::nanoTime));
        server.start();
    }

    @AfterEach
    void stop() throws Exception {
        server.stop();
        server.destroy();
    }

    private boolean hasLeft() throws InterruptedException {
        asked.put("look");
        return left.take();
    }

    @Test
    void isThereUntilTheConnectionEnds() throws Exception {
        for (String head : new String[] {"GET /a HTTP/1.1\r\n", "POST /a HTTP/1.1\r\nContent-Length: 3\r\n"}) {
            try (Socket socket = new Socket(
                    InetAddress.getLoopbackAddress(), server.getConnector().getLocalPort())) {
                String body = head.startsWith("POST") ? "a=1" : "";
                socket.getOutputStream()
                        .write((head + "Host: here\r\n\r\n" + body).getBytes(StandardCharsets.US_ASCII));
                assertThat(hasLeft()).isFalse();
                assertThat(hasLeft()).isFalse();
            }
            while (!hasLeft()) {
                // The end of a connection is on its way.
                Thread.onSpinWait();
            }
            asked.put("done");
        }
        assertThat(left).isEmpty();
    }
}
