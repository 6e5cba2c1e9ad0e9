package io.causticon.web.harness;

import jakarta.servlet.Filter;
import jakarta.servlet.FilterChain;
import jakarta.servlet.ServletException;
import jakarta.servlet.ServletRequest;
import jakarta.servlet.ServletResponse;
import jakarta.servlet.http.HttpServletRequest;
import java.io.IOException;
import java.lang.management.ManagementFactory;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;
import org.springframework.core.Ordered;
import org.springframework.core.annotation.Order;

/** How much of a processor each answer took: the same on a busy machine as on an idle one. */
@Order(Ordered.HIGHEST_PRECEDENCE)
public final class ProcessorTimes implements Filter {

    private final Map<String, Double> longest = new ConcurrentHashMap<>();
    private final List<Double> all = Collections.synchronizedList(new ArrayList<>());

    /** Of every answer, in seconds. */
    public List<Double> all() {
        synchronized (all) {
            return List.copyOf(all);
        }
    }

    /** The longest for each method and path, ids taken out, in seconds. */
    public Map<String, Double> longest() {
        return longest;
    }

    @Override
    public void doFilter(ServletRequest request, ServletResponse response, FilterChain chain)
            throws IOException, ServletException {
        long before = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        try {
            chain.doFilter(request, response);
        } finally {
            double seconds = (ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - before) / 1e9;
            HttpServletRequest http = (HttpServletRequest) request;
            all.add(seconds);
            longest.merge(http.getMethod() + " " + Crawler.kind(http.getRequestURI()), seconds, Math::max);
        }
    }
}
