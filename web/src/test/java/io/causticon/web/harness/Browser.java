package io.causticon.web.harness;

import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.Deque;
import java.util.List;
import java.util.Map;
import java.util.function.BooleanSupplier;
import java.util.logging.Level;
import org.jspecify.annotations.Nullable;
import org.openqa.selenium.By;
import org.openqa.selenium.Cookie;
import org.openqa.selenium.JavascriptException;
import org.openqa.selenium.JavascriptExecutor;
import org.openqa.selenium.Keys;
import org.openqa.selenium.NoSuchElementException;
import org.openqa.selenium.OutputType;
import org.openqa.selenium.Point;
import org.openqa.selenium.StaleElementReferenceException;
import org.openqa.selenium.WebDriverException;
import org.openqa.selenium.WebElement;
import org.openqa.selenium.chrome.ChromeDriver;
import org.openqa.selenium.chrome.ChromeDriverService;
import org.openqa.selenium.chrome.ChromeOptions;
import org.openqa.selenium.interactions.Actions;
import org.openqa.selenium.interactions.Pause;
import org.openqa.selenium.interactions.PointerInput;
import org.openqa.selenium.interactions.Sequence;
import org.openqa.selenium.logging.LogType;
import org.openqa.selenium.logging.LoggingPreferences;
import org.openqa.selenium.support.ui.ExpectedCondition;
import org.openqa.selenium.support.ui.WebDriverWait;
import org.openqa.selenium.virtualauthenticator.VirtualAuthenticator;
import org.openqa.selenium.virtualauthenticator.VirtualAuthenticatorOptions;

/** Chromium, driven as a maker would use it. */
public final class Browser implements AutoCloseable {

    /** A fuse, so that a test that fails ends: nothing that works comes near it, also on a busy machine. */
    private static final Duration PATIENCE = Duration.ofSeconds(Integer.getInteger("causticon.patience", 300));

    private static final Duration LOOKS = Duration.ofMillis(160);

    /** A page on which much goes on is looked at less often: each look lays it out anew. */
    private static final Duration SELDOM = Duration.ofMillis(250);

    private static final Path CHROMIUM = Path.of("/usr/bin/chromium");
    private static final Path DRIVER = Path.of("/usr/bin/chromedriver");

    /** Kept for the next test: starting one takes longer than many a test. */
    private static final Deque<ChromeDriver> IDLE = new ArrayDeque<>();

    /**
     * Looked for in the page at once: asking for each link by itself takes a hundred messages. In the middle, not under
     * the quick line.
     */
    private static final String PRESSABLE = """
        const shown = e => e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden'
            && !(e.getAttribute('class') ?? '').includes('visually-hidden');
        const words = e => (e.innerText ?? e.textContent).replace(/\\s+/g, ' ').trim();
        const found = [...document.querySelectorAll('button, a, summary')]
            .find(e => shown(e) && words(e).startsWith(arguments[0]));
        found?.scrollIntoView({block: 'center'});
        return found ?? null;
        """;

    /** Nothing is to be filled in by the browser: it would look through every form at every change. */
    private static final Map<String, Object> PREFERENCES = Map.of(
            "autofill.profile_enabled", false,
            "autofill.credit_card_enabled", false,
            "credentials_enable_service", false,
            "profile.password_manager_enabled", false,
            "browser.enable_spellchecking", false);

    private static final String SELECT_ALL = """
        const shown = e => e.getClientRects().length > 0 && getComputedStyle(e).visibility !== 'hidden';
        const fields = [...document.getElementsByName(arguments[0])]
            .filter(e => e.localName === 'input' || e.localName === 'textarea');
        const field = arguments[1] < 0 ? fields.find(shown) : fields[arguments[1]];
        if (!field || !shown(field) || field.disabled || field.readOnly) {
            return false;
        }
        field.scrollIntoView({block: 'nearest'});
        field.focus();
        field.select();
        return document.activeElement === field;
        """;

    /** The field that belongs to a list, ready to be typed into. */
    private static final String AT_LIST = """
        const list = [...document.getElementsByName(arguments[0])].filter(e => e.localName === 'select')[arguments[1]];
        const field = list?.parentElement.querySelector('[role=combobox]');
        field?.scrollIntoView({block: 'center'});
        field?.focus();
        field?.select();
        return Boolean(field) && document.activeElement === field;
        """;

    private static final String CHOOSE = """
        const list = [...document.getElementsByName(arguments[0])].filter(e => e.localName === 'select')[arguments[1]];
        const choice = list && !list.disabled
            && [...list.options].find(o => !o.disabled && o[arguments[2]].trim() === arguments[3]);
        if (!choice) {
            return false;
        }
        list.focus();
        list.value = choice.value;
        list.dispatchEvent(new Event('input', {bubbles: true}));
        list.dispatchEvent(new Event('change', {bubbles: true}));
        return true;
        """;

    /**
     * Where the middle of the first one in sight stands in the window: what is found is not held on to, the page may
     * draw it anew.
     */
    private static final String MIDDLE = """
        const found = [...document.querySelectorAll(arguments[0])].find(e => e.getClientRects().length > 0);
        found?.scrollIntoView({block: 'center'});
        const box = found?.getBoundingClientRect();
        return box ? [Math.round(box.left + box.width / 2), Math.round(box.top + box.height / 2)] : null;
        """;

    private static final String SET = """
        const field = document.querySelector(`[name='${arguments[0]}']:not(button)`);
        if (!field) {
            return false;
        }
        field.value = arguments[1];
        field.dispatchEvent(new Event('input', {bubbles: true}));
        return true;
        """;

    private final ChromeDriver driver;
    private final String address;
    private Runnable meanwhile = () -> {};
    private Duration between = LOOKS;
    private @Nullable VirtualAuthenticator device;

    /** One that knows nothing of what another test did in it. */
    public Browser(String address) {
        this.address = address;
        this.driver = idle();
        size(1280, 800);
        // What the last page complained of is not this test's.
        complaints();
    }

    private static synchronized ChromeDriver idle() {
        return IDLE.isEmpty() ? started() : IDLE.pop();
    }

    private static ChromeDriver started() {
        ChromeOptions options = new ChromeOptions();
        options.setBinary(CHROMIUM.toString());
        options.addArguments(
                "--headless=new",
                "--no-sandbox",
                "--disable-gpu",
                "--disable-quic",
                "--no-first-run",
                "--disable-background-networking",
                "--disable-component-update",
                "--disable-sync",
                "--disable-extensions",
                // A workshop's own certificate is nobody's that a fresh browser knows.
                "--ignore-certificate-errors",
                "--hide-scrollbars",
                "--lang=en-GB",
                "--user-data-dir=" + profile());
        options.setExperimentalOption("prefs", PREFERENCES);
        LoggingPreferences logs = new LoggingPreferences();
        logs.enable(LogType.BROWSER, Level.ALL);
        options.setCapability("goog:loggingPrefs", logs);
        ChromeDriverService service = new ChromeDriverService.Builder()
                .usingDriverExecutable(DRIVER.toFile())
                .build();
        ChromeDriver driver = new ChromeDriver(service, options);
        Runtime.getRuntime().addShutdownHook(new Thread(driver::quit));
        return driver;
    }

    private static Path profile() {
        try {
            return Files.createTempDirectory("causticon-browser");
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    public Browser size(int width, int height) {
        driver.executeCdpCommand(
                "Emulation.setDeviceMetricsOverride",
                Map.of("width", width, "height", height, "deviceScaleFactor", 1, "mobile", false));
        return this;
    }

    public Browser open(String path) {
        driver.get(address + path);
        return this;
    }

    /** Signed in at the form, as a maker does; she stands at the rack. */
    public Browser signInAtTheForm(String name) {
        open("/sign-in").type("name", name).type("password", "lye-into-water").press("Sign in");
        waitFor("nav.places");
        return this;
    }

    /** Signed in already: pages cost a browser more than all else, and this takes none. No page is open. */
    public Browser signIn(String name) {
        new Client(address)
                .signIn(name)
                .cookies()
                .forEach((cookie, value) -> driver.executeCdpCommand(
                        "Network.setCookie",
                        Map.of(
                                "url",
                                address,
                                "name",
                                cookie,
                                "value",
                                value,
                                "httpOnly",
                                true,
                                "sameSite",
                                "Strict")));
        return this;
    }

    /** Types into the first visible field of this name, in place of what stands there. */
    public Browser type(String name, String text) {
        return typed(name, -1, text);
    }

    /**
     * All of a field is selected and the text comes in its place at once: a driver's clearing and its single keys are a
     * change of their own each.
     */
    private Browser typed(String name, int index, String text) {
        waitUntil("to type into " + name, d -> Boolean.TRUE.equals(script(SELECT_ALL, name, index)) ? d : null);
        if (text.isEmpty() || text.chars().anyMatch(c -> Character.getType(c) == Character.PRIVATE_USE)) {
            new Actions(driver).sendKeys(text.isEmpty() ? Keys.DELETE : text).perform();
        } else {
            driver.executeCdpCommand("Input.insertText", Map.of("text", text));
        }
        return this;
    }

    /** Sets a field that a keyboard of one locale would fill differently from another. */
    public Browser set(String name, String value) {
        waitUntil(d -> Boolean.TRUE.equals(script(SET, name, value)) ? d : null);
        return this;
    }

    public Browser choose(String name, int index, String value) {
        return chosen(name, index, "value", value);
    }

    /** Chooses from a long list as a maker does: by typing a few letters and Enter. */
    public Browser pick(String name, int index, String letters) {
        waitUntil("to choose " + name, d -> Boolean.TRUE.equals(script(AT_LIST, name, index)) ? d : null);
        driver.executeCdpCommand("Input.insertText", Map.of("text", letters));
        waitUntil(
                "for a choice of " + letters,
                d -> d.findElements(By.cssSelector(".choose-list:not([hidden]) [aria-selected=true]"))
                                .isEmpty()
                        ? null
                        : d);
        new Actions(driver).sendKeys(Keys.ENTER).perform();
        return this;
    }

    /** Chooses by the words of the choice. */
    public Browser chooseText(String name, String words) {
        return chosen(name, 0, "text", words);
    }

    private Browser chosen(String name, int index, String by, String wanted) {
        if (!Boolean.TRUE.equals(script(CHOOSE, name, index, by, wanted))) {
            throw new NoSuchElementException(
                    "No choice of " + name + " [" + index + "] with the " + by + " \"" + wanted + "\"");
        }
        return this;
    }

    public Browser typeInto(String name, int index, String text) {
        return typed(name, index, text);
    }

    /** Presses the first visible button or link with these words; found again when the page replaces it meanwhile. */
    public Browser press(String words) {
        waitUntil("to press " + words, d -> {
            WebElement target = (WebElement) script(PRESSABLE, words);
            if (target == null) {
                return null;
            }
            target.click();
            return driver;
        });
        return this;
    }

    /** Presses the first of these in sight, whatever its words. */
    public Browser pressAt(String css) {
        waitUntil(d -> {
            WebElement target = driver.findElements(By.cssSelector(css)).stream()
                    .filter(WebElement::isDisplayed)
                    .findFirst()
                    .orElse(null);
            if (target == null) {
                return null;
            }
            target.click();
            return driver;
        });
        return this;
    }

    /** Ticks all of these boxes that are not ticked. */
    public Browser tickAll(String css) {
        script("document.querySelectorAll(arguments[0]).forEach(box => box.checked || box.click())", css);
        return this;
    }

    /** Logs a line through the quick line and waits until the page answered. */
    public Browser quick(String line) {
        type("quick", line);
        script("window.answered = false");
        new Actions(driver).sendKeys(Keys.ENTER).perform();
        // The answer is a new page, which knows nothing of the mark that was left on the old one.
        waitUntil(d -> Boolean.TRUE.equals(
                        script("return window.answered === undefined && document.readyState === 'complete'"))
                ? driver
                : null);
        return this;
    }

    /** Drags the middle of an element by so many pixels, as a finger or a mouse does. */
    public Browser drag(String css, int right, int down) {
        Point middle = middle(css);
        new Actions(driver)
                .moveToLocation(middle.x, middle.y)
                .clickAndHold()
                .moveByOffset(right, down)
                .release()
                .perform();
        return this;
    }

    public Browser focus(String css) {
        waitUntil(d -> Boolean.TRUE.equals(script(
                        "const found = document.querySelector(arguments[0]); found?.focus(); return"
                                + " document.activeElement === found",
                        css))
                ? d
                : null);
        return this;
    }

    @SuppressWarnings("unchecked")
    private Point middle(String css) {
        List<Number> place = (List<Number>) waitUntil(d -> script(MIDDLE, css));
        return new Point(place.get(0).intValue(), place.get(1).intValue());
    }

    /** Waits until something holds, however the page gets there. */
    public Browser waitUntilTrue(BooleanSupplier holds) {
        waitUntil(d -> {
            try {
                return holds.getAsBoolean() ? driver : null;
            } catch (StaleElementReferenceException | NoSuchElementException e) {
                return null;
            }
        });
        return this;
    }

    /** What stands in all fields of this name, read at one moment. */
    @SuppressWarnings("unchecked")
    public List<String> values(String name) {
        return (List<String>)
                script("return [...document.getElementsByName(arguments[0])].map(e => e.value ?? null)", name);
    }

    /** Typed at the page; what is typed before it has the keyboard is lost. */
    public Browser keys(CharSequence... keys) {
        driver.executeCdpCommand("Page.bringToFront", Map.of());
        waitUntil(d -> Boolean.TRUE.equals(script("return document.readyState === 'complete' && document.hasFocus()"))
                ? d
                : null);
        new Actions(driver).sendKeys(keys).perform();
        return this;
    }

    /** Types a key while another is held down. */
    public Browser keyWith(CharSequence held, CharSequence key) {
        new Actions(driver).keyDown(held).sendKeys(key).keyUp(held).perform();
        return this;
    }

    /** Holds a key down for a while, as on a real keyboard. */
    public Browser holdKey(CharSequence key, Duration time) {
        new Actions(driver).keyDown(key).pause(time).keyUp(key).perform();
        return this;
    }

    /** Touches the middle of an element with a finger, for a while; no mouse is near. */
    public Browser touch(String css, Duration time) {
        Point middle = middle(css);
        PointerInput finger = new PointerInput(PointerInput.Kind.TOUCH, "finger");
        Sequence touch = new Sequence(finger, 0)
                .addAction(finger.createPointerMove(Duration.ZERO, PointerInput.Origin.viewport(), middle.x, middle.y))
                .addAction(finger.createPointerDown(0))
                .addAction(new Pause(finger, time.plusMillis(40)))
                .addAction(finger.createPointerUp(0));
        driver.perform(List.of(touch));
        return this;
    }

    public Browser waitFor(String css) {
        waitUntil(
                css,
                d -> Boolean.TRUE.equals(script("return document.querySelector(arguments[0]) !== null", css))
                        ? d
                        : null);
        return this;
    }

    /** Waits until the page holds these words. */
    public Browser waitForText(String words) {
        waitUntil(
                words,
                d -> Boolean.TRUE.equals(script(
                                "return document.body.innerText.replace(/[ \\t\\u00a0]+/g, ' ').includes(arguments[0])",
                                words))
                        ? driver
                        : null);
        return this;
    }

    public String text() {
        return text("body");
    }

    /** The words of the first that matches; read again when the page replaced it meanwhile. */
    public String text(String css) {
        for (int tries = 0; ; tries++) {
            try {
                return driver.findElement(By.cssSelector(css)).getText().replace('\u00a0', ' ');
            } catch (NoSuchElementException e) {
                throw e;
            } catch (WebDriverException e) {
                // The page was replaced between finding and reading.
                if (tries > 5) {
                    throw e;
                }
            }
        }
    }

    /** The words of all that match, read at one moment. */
    @SuppressWarnings("unchecked")
    public List<String> texts(String css) {
        return (List<String>) driver.executeScript(
                "return [...document.querySelectorAll(arguments[0])].map(e => e.innerText.replaceAll('\\u00a0', '"
                        + " ').trim())",
                css);
    }

    public String value(String name) {
        return (String) waitUntil(d -> script(
                "return [...document.getElementsByName(arguments[0])].find(e => e.localName !== 'button' &&"
                        + " e.getClientRects().length > 0)?.value",
                name));
    }

    public List<WebElement> all(String css) {
        return driver.findElements(By.cssSelector(css));
    }

    public String path() {
        return driver.getCurrentUrl().replace(address, "").replaceAll("\\?.*", "");
    }

    /** What it was told to keep, also what no script sees. */
    public List<String> cookieNames() {
        return driver.manage().getCookies().stream()
                .map(Cookie::getName)
                .sorted()
                .toList();
    }

    /** Complaints of the browser, such as a blocked style or a script that failed. */
    public List<String> complaints() {
        return driver.manage().logs().get(LogType.BROWSER).getAll().stream()
                .filter(l -> l.getLevel().intValue() >= Level.WARNING.intValue())
                .map(l -> l.getMessage())
                .toList();
    }

    /** Shows what the server answered there when a button was pressed, as the browser would have shown it. */
    public Browser show(String path, String html) {
        driver.get(address + "/splash");
        script(
                "history.replaceState(null, '', arguments[0]); document.open(); document.write(arguments[1]);"
                        + " document.close();",
                path,
                html);
        return this;
    }

    public Object script(String code, Object... arguments) {
        return ((JavascriptExecutor) driver).executeScript(code, arguments);
    }

    public void picture(Path file) {
        try {
            Files.createDirectories(file.toAbsolutePath().getParent());
            Files.write(file, driver.getScreenshotAs(OutputType.BYTES));
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    void keepPicture(String name) {
        picture(Path.of("target", "failed-" + name.replaceAll("[^A-Za-z0-9]+", "-") + ".png"));
    }

    /** A device that makes and keeps passkeys, and is always content with the finger that touches it. */
    public Browser withDevice() {
        device = driver.addVirtualAuthenticator(new VirtualAuthenticatorOptions()
                .setTransport(VirtualAuthenticatorOptions.Transport.INTERNAL)
                .setHasResidentKey(true)
                .setHasUserVerification(true)
                .setIsUserVerified(true));
        return this;
    }

    /** Forgets everything and waits for the next test; one that cannot is ended. */
    @Override
    public void close() {
        try {
            if (device != null) {
                driver.removeVirtualAuthenticator(device);
                device = null;
            }
            // An answer to its last words would bring cookies of its own, and take those of the next test.
            driver.executeScript("navigator.sendBeacon = () => true");
            driver.get("about:blank");
            driver.executeCdpCommand("Network.clearBrowserCookies", Map.of());
            driver.executeCdpCommand("Network.clearBrowserCache", Map.of());
            driver.executeCdpCommand("Storage.clearDataForOrigin", Map.of("origin", address, "storageTypes", "all"));
            driver.executeCdpCommand("Emulation.clearDeviceMetricsOverride", Map.of());
            synchronized (Browser.class) {
                if (!IDLE.contains(driver)) {
                    IDLE.push(driver);
                }
            }
        } catch (WebDriverException e) {
            driver.quit();
        }
    }

    private <T> T waitUntil(ExpectedCondition<T> condition) {
        return waitUntil("what the test waits for", condition);
    }

    private <T> T waitUntil(String what, ExpectedCondition<T> condition) {
        return new WebDriverWait(driver, PATIENCE, between)
                .withMessage(() -> what + " at " + path() + ": " + text().replaceAll("\\s+", " "))
                .ignoring(StaleElementReferenceException.class)
                .ignoring(JavascriptException.class)
                .until(d -> {
                    meanwhile.run();
                    return condition.apply(d);
                });
    }

    /** What goes on each time that it looks again for what it waits for, such as a clock of the test's own. */
    public Browser whileWaiting(Runnable other) {
        this.meanwhile = other;
        this.between = SELDOM;
        return this;
    }
}
