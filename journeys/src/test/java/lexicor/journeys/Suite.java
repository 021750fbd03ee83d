package lexicor.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.concurrent.ConcurrentHashMap;

/** One browser and one server with demo data for all journeys that leave them running. */
final class Suite {

    /** How long an action waits for what it needs: long enough for a machine that has much else to do. */
    private static final int PATIENCE_MS = 120_000;

    private static final Playwright PLAYWRIGHT =
            Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private static final Browser BROWSER = PLAYWRIGHT
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setArgs(List.of(
                            "--no-sandbox",
                            // without a graphics card this draws in a third less time
                            "--disable-gpu",
                            "--disable-gpu-rasterization",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync",
                            "--disable-quic")));
    private static final RunningServer SERVER = RunningServer.start(RunningServer.freshData(), true, 0);

    private static final Map<String, String> SIGNED_IN = new ConcurrentHashMap<>();

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
        Runtime.getRuntime().addShutdownHook(new Thread(SERVER::close));
    }

    private Suite() {}

    static Browser browser() {
        return BROWSER;
    }

    static RunningServer server() {
        return SERVER;
    }

    /** A browser of its own in which the demo clinic's therapist is signed in. */
    static BrowserContext therapist(Browser.NewContextOptions options) {
        return signedIn("R. Tarn, therapist", options);
    }

    /** A browser of its own in which somebody of the demo clinic is signed in. */
    static BrowserContext signedIn(String person, Browser.NewContextOptions options) {
        String state = SIGNED_IN.computeIfAbsent(person, name -> {
            try (BrowserContext context = BROWSER.newContext()) {
                Page page = context.newPage();
                page.navigate(SERVER.address());
                page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                        .click();
                page.getByRole(AriaRole.NAVIGATION).first().waitFor();
                return context.storageState();
            }
        });
        BrowserContext context = BROWSER.newContext(options.setStorageState(state));
        context.setDefaultTimeout(PATIENCE_MS);
        SlowLine.put(context);
        return context;
    }

    /** The usual size of the bench. */
    static Browser.NewContextOptions tablet() {
        return new Browser.NewContextOptions().setViewportSize(1280, 800).setLocale("en-GB");
    }
}
