package io.causticon.web.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.net.CookieManager;
import java.net.HttpCookie;
import java.net.URI;
import java.net.URLEncoder;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** A client without a script: forms and links alone. */
public final class Client {

    private static final Pattern TOKEN = Pattern.compile("name=\"_csrf\" value=\"([^\"]+)\"");

    private final String address;
    private final CookieManager cookies = new CookieManager();
    private final List<String> setCookies = new ArrayList<>();
    private final HttpClient http = HttpClient.newBuilder()
            .cookieHandler(cookies)
            .followRedirects(HttpClient.Redirect.NEVER)
            .build();
    private String token = "";

    public Client(String address) {
        this.address = address;
    }

    public Client signIn(String name) {
        return signIn(name, "lye-into-water");
    }

    public Client signIn(String name, String password) {
        get("/sign-in");
        post("/sign-in", Map.of("name", name, "password", password));
        get("/settings");
        return this;
    }

    /** Value of a cookie that it holds now; empty without. */
    public String cookie(String name) {
        return cookies.getCookieStore().getCookies().stream()
                .filter(c -> c.getName().equals(name))
                .map(HttpCookie::getValue)
                .findFirst()
                .orElse("");
    }

    /** All cookies that it holds now, by name. */
    Map<String, String> cookies() {
        return cookies.getCookieStore().getCookies().stream()
                .collect(Collectors.toMap(HttpCookie::getName, HttpCookie::getValue, (a, b) -> b));
    }

    /** Every cookie that it was ever told to keep, as the server put it. */
    public List<String> setCookies() {
        return setCookies;
    }

    public HttpResponse<String> get(String path) {
        return send(HttpRequest.newBuilder(URI.create(address + path)).GET());
    }

    /** As a browser asks that tells more of itself. */
    public HttpResponse<String> get(String path, Map<String, String> headers) {
        HttpRequest.Builder request = HttpRequest.newBuilder(URI.create(address + path)).GET();
        headers.forEach(request::header);
        return send(request);
    }

    /** What is no text. */
    public byte[] bytes(String path) {
        try {
            return http.send(
                            HttpRequest.newBuilder(URI.create(address + path))
                                    .GET()
                                    .build(),
                            HttpResponse.BodyHandlers.ofByteArray())
                    .body();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    public HttpResponse<String> post(String path, Map<String, String> form) {
        return post(path, form, true);
    }

    /** A form with more behind it, for fields that are there several times. */
    public HttpResponse<String> postRaw(String path, Map<String, String> form, String more) {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(
                        encode(form) + more.replace(" ", "+") + "&_csrf=" + encode(token))));
    }

    /** A file as the body of a request, as scripts of the pages send it. */
    public HttpResponse<String> postFile(String path, String name, byte[] content) {
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/octet-stream")
                .header("X-XSRF-TOKEN", token)
                .header("X-File-Name", encode(name))
                .POST(HttpRequest.BodyPublishers.ofByteArray(content)));
    }

    public HttpResponse<String> postWithoutToken(String path, Map<String, String> form) {
        return post(path, form, false);
    }

    private HttpResponse<String> post(String path, Map<String, String> form, boolean withToken) {
        String body = encode(form);
        String sent = withToken ? body + "&_csrf=" + encode(token) : body;
        return send(HttpRequest.newBuilder(URI.create(address + path))
                .header("Content-Type", "application/x-www-form-urlencoded")
                .POST(HttpRequest.BodyPublishers.ofString(sent)));
    }

    /** Sends a device's readings; the status of the answer. */
    public int ingest(String deviceToken, String json) {
        return send(HttpRequest.newBuilder(URI.create(address + "/ingest"))
                        .header("Authorization", "Bearer " + deviceToken)
                        .header("Content-Type", "application/json")
                        .POST(HttpRequest.BodyPublishers.ofString(json)))
                .statusCode();
    }

    private HttpResponse<String> send(HttpRequest.Builder request) {
        try {
            HttpResponse<String> answer = http.send(request.build(), Client::read);
            setCookies.addAll(answer.headers().allValues("Set-Cookie"));
            Matcher found = TOKEN.matcher(answer.body());
            if (found.find()) {
                token = found.group(1);
            }
            return answer;
        } catch (IOException e) {
            throw new java.io.UncheckedIOException(e);
        } catch (InterruptedException e) {
            Thread.currentThread().interrupt();
            throw new IllegalStateException(e);
        }
    }

    /** White space of a page is one space, wherever its template breaks a line. */
    private static HttpResponse.BodySubscriber<String> read(HttpResponse.ResponseInfo answer) {
        boolean page = answer.headers().firstValue("Content-Type").orElse("").startsWith("text/html");
        return HttpResponse.BodySubscribers.mapping(
                HttpResponse.BodySubscribers.ofString(StandardCharsets.UTF_8),
                t -> page ? t.replaceAll("\\s+", " ") : t);
    }

    private static String encode(Map<String, String> form) {
        return form.entrySet().stream()
                .map(e -> encode(e.getKey()) + "=" + encode(e.getValue()))
                .collect(Collectors.joining("&"));
    }

    /** As it stands in an address or a form. */
    public static String encode(String text) {
        return URLEncoder.encode(text, StandardCharsets.UTF_8);
    }
}
