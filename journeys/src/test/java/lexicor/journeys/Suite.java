package lexicor.journeys;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Playwright;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** One browser and one server with demo data for all journeys that leave them running. */
final class Suite {

    private static final Playwright PLAYWRIGHT = Playwright.create(new Playwright.CreateOptions().setEnv(Map.of("PLAYWRIGHT_SKIP_BROWSER_DOWNLOAD", "1")));
    private static final Browser BROWSER = PLAYWRIGHT.chromium().launch(new BrowserType.LaunchOptions().setExecutablePath(Path.of("/usr/bin/chromium"))
            .setArgs(List.of("--no-sandbox", "--disable-background-networking", "--disable-component-update", "--disable-sync", "--disable-quic")));
    private static final RunningServer SERVER = RunningServer.start(RunningServer.freshData(), true, 0);

    static {
        Runtime.getRuntime().addShutdownHook(new Thread(SERVER::close));
    }

    private Suite() {
    }

    static Browser browser() {
        return BROWSER;
    }

    static RunningServer server() {
        return SERVER;
    }
}
