package lexicor.journeys;

import com.google.gson.JsonObject;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;

/**
 * Lets every page run on a slow device at the end of a slow line, so that journeys that hang on the speed of this
 * machine show themselves. {@code -Dlexicor.journeys.latency} adds so many milliseconds to each request, and
 * {@code -Dlexicor.journeys.slowdown} makes the page's own work so many times slower; both are off by default. A
 * journey that goes offline needs the latency off: the browser keeps one of the two.
 */
final class SlowLine {

    private static final int LATENCY_MS = Integer.getInteger("lexicor.journeys.latency", 0);
    private static final int SLOWDOWN = Integer.getInteger("lexicor.journeys.slowdown", 1);

    private SlowLine() {}

    static void put(BrowserContext context) {
        if (LATENCY_MS > 0 || SLOWDOWN > 1) {
            context.onPage(SlowLine::slow);
        }
    }

    private static void slow(Page page) {
        CDPSession browser = page.context().newCDPSession(page);
        JsonObject line = new JsonObject();
        line.addProperty("offline", false);
        line.addProperty("latency", LATENCY_MS);
        line.addProperty("downloadThroughput", -1);
        line.addProperty("uploadThroughput", -1);
        browser.send("Network.emulateNetworkConditions", line);
        JsonObject device = new JsonObject();
        device.addProperty("rate", SLOWDOWN);
        browser.send("Emulation.setCPUThrottlingRate", device);
    }
}
