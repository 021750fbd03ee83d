package lexicor.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import lexicor.core.posttest.SingleTest;
import lexicor.core.posttest.TestGroup;

/**
 * The chances of answer patterns, in one run with R's multivariate normal: largest difference, and how many times
 * faster.
 */
public final class BesideR {

    private static final int PATTERNS = 300;
    private static final int MOST_ANSWERS = 7;

    private BesideR() {}

    /** @param arguments the R script */
    public static void main(String[] arguments) throws IOException, InterruptedException {
        Random random = new Random(11);
        List<TestGroup> groups = new ArrayList<>();
        List<String> lines = new ArrayList<>();
        for (int i = 0; i < PATTERNS; i++) {
            double rho = 0.9 * random.nextDouble();
            List<SingleTest> tests = new ArrayList<>();
            StringBuilder line = new StringBuilder(String.format(Locale.ROOT, "%.12f", rho));
            for (int j = 0; j < 1 + random.nextInt(MOST_ANSWERS); j++) {
                double share = Math.round(1e6 * (0.05 + 0.9 * random.nextDouble())) / 1e6;
                boolean positive = random.nextBoolean();
                tests.add(new SingleTest(share, 0.5, positive));
                line.append(String.format(Locale.ROOT, ",%.6f,%d", share, positive ? 1 : -1));
            }
            groups.add(TestGroup.of(Double.parseDouble(line.substring(0, line.indexOf(","))), tests));
            lines.add(line.toString());
        }
        double[] ours = null;
        long best = Long.MAX_VALUE;
        for (int turn = 0; turn < 20; turn++) {
            long began = System.nanoTime();
            ours = groups.stream()
                    .mapToDouble(group -> group.answer().givenPresent())
                    .toArray();
            best = Math.min(best, System.nanoTime() - began);
        }
        Path input = Files.createTempFile("patterns", ".csv");
        Path output = Files.createTempFile("chances", ".txt");
        Files.write(input, lines);
        Process r = new ProcessBuilder("Rscript", arguments[0], input.toString(), output.toString())
                .redirectErrorStream(true)
                .start();
        String said = new String(r.getInputStream().readAllBytes()).strip();
        if (r.waitFor() != 0) {
            System.out.println("R said: " + said);
            return;
        }
        double largest = 0;
        List<String> theirs = Files.readAllLines(output);
        for (int i = 0; i < PATTERNS; i++) {
            largest = Math.max(
                    largest, Math.abs(ours[i] - Double.parseDouble(theirs.get(i).strip())));
        }
        // both chances, with and without the condition, are computed here, one in R
        System.out.printf(
                Locale.ROOT,
                "%d patterns of 1 to %d answers: largest difference %.1e; Lexicor %.0f ms for both chances, R %.0f ms for one: %.1f times as fast a chance%n",
                PATTERNS,
                MOST_ANSWERS,
                largest,
                best / 1e6,
                1000 * Double.parseDouble(said),
                2 * 1e9 * Double.parseDouble(said) / best);
    }
}
