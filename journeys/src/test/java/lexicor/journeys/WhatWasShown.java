package lexicor.journeys;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.PlaywrightException;
import org.junit.jupiter.api.extension.ExtensionContext;
import org.junit.jupiter.api.extension.TestExecutionExceptionHandler;

/**
 * Prints the address and the words of every open page when a journey fails: often all that is known of a failure
 * elsewhere.
 */
public final class WhatWasShown implements TestExecutionExceptionHandler {

    private static final int LONGEST = 4000;

    @Override
    public void handleTestExecutionException(ExtensionContext journey, Throwable fault) throws Throwable {
        for (BrowserContext context : Suite.browser().contexts()) {
            for (Page page : context.pages()) {
                Report.line(
                        journey.getDisplayName() + " failed at " + page.url() + ", which showed:\n" + wordsOf(page));
            }
        }
        throw fault;
    }

    private static String wordsOf(Page page) {
        try {
            String words = (String) page.evaluate("document.body.innerText");
            return words.substring(0, Math.min(LONGEST, words.length()));
        } catch (PlaywrightException gone) {
            return gone.getMessage();
        }
    }
}
