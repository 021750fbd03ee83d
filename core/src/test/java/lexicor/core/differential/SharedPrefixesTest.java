package lexicor.core.differential;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class SharedPrefixesTest {

    @Test
    void every_row_has_its_product_and_shared_beginnings_are_multiplied_once() {
        int[][] rows = {{2, 3, 5}, {2, 3, 7}, {3, 3, 5}, {2, 5, 5}};
        int[] steps = new int[1];
        assertThat(products(rows, steps)).containsExactly(30, 42, 45, 50);
        assertThat(steps[0]).isEqualTo(3 + 1 + 2 + 3);
    }

    @Test
    void any_rows_have_their_products() {
        SplittableRandom random = new SplittableRandom(5);
        int[][] rows = random.ints(40, 0, 256)
                .distinct()
                .mapToObj(code -> new int[] {code & 3, code >> 2 & 3, code >> 4 & 3, code >> 6 & 3})
                .toArray(int[][]::new);
        assertThat(products(rows, new int[1]))
                .containsExactly(Arrays.stream(rows)
                        .mapToInt(row -> Arrays.stream(row).reduce(1, (one, other) -> one * other))
                        .toArray());
    }

    @Test
    void rows_without_numbers_end_at_once() {
        assertThat(products(new int[][] {{}}, new int[1])).containsExactly(1);
    }

    private static int[] products(int[][] rows, int[] steps) {
        int[] products = new int[rows.length];
        int[] level = new int[rows[0].length + 1];
        level[0] = 1;
        new SharedPrefixes(rows)
                .walk(
                        (column, number) -> {
                            level[column + 1] = level[column] * number;
                            steps[0]++;
                        },
                        row -> products[row] = level[rows[row].length]);
        return products;
    }
}
