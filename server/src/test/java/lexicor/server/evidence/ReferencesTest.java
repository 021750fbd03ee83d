package lexicor.server.evidence;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import lexicor.server.problems.BadInput;
import org.junit.jupiter.api.Test;

class ReferencesTest {

    @Test
    void bibtex_becomes_sources_as_the_ledger_writes_them() {
        assertThat(References.read("""
                        @article{one, author = {M{\\"u}ller, Jane Anne and Doe, K.}, title = {A {Test} of tests},
                          journal = {J Invented Med}, year = 2019, volume = {12}, pages = {34--38}, doi = {10.1000/xyz}}
                        @article{two, author = "Ann B. Alone", journal = "Ann Nothing", year = "2020"}
                        @book{three, author = {Able A and Baker B and Carr C}, date = {2021-05-01}}
                        """))
                .containsExactly(
                        new References.Reference(
                                "M\u00fcller JA, Doe K, J Invented Med, 2019;12:34-38, doi:10.1000/xyz",
                                "A Test of tests"),
                        new References.Reference("Alone AB, Ann Nothing, 2020", ""),
                        new References.Reference("Able A et al., 2021", ""));
    }

    @Test
    void ris_becomes_sources_as_the_ledger_writes_them() {
        assertThat(References.read("""
                        \uFEFFTY  - JOUR
                        AU  - First, Ada B.
                        AU  - Second, Cy
                        AU  - Third, D E
                        TI  - What it found
                        JO  - J Invented Med
                        PY  - 2022/03/01
                        VL  - 7
                        SP  - 101
                        EP  - 109
                        DO  - 10.1000/abc
                        ER  -
                        TY  - JOUR
                        A1  - Only, Eve
                        Y1  - 2001
                        """))
                .containsExactly(
                        new References.Reference(
                                "First AB et al., J Invented Med, 2022;7:101-109, doi:10.1000/abc", "What it found"),
                        new References.Reference("Only E, 2001", ""));
    }

    @Test
    void names_that_stand_for_texts_elsewhere_do_no_harm() {
        assertThat(References.read("""
                        @article{a, author = {Able, Ann}, journal = jnowhere, month = jan, year = 2024, crossref = {b}}
                        @article{c, author = {Able, Ann}, journal = {J Twice}, year = 2025}
                        """))
                .extracting(References.Reference::citation)
                .containsExactly("Able A, jnowhere, 2024", "Able A, J Twice, 2025");
    }

    @Test
    void what_is_no_file_of_references_is_refused_in_words() {
        assertThatThrownBy(() -> References.read(""))
                .isInstanceOf(BadInput.class)
                .hasMessageContaining("no reference");
        assertThatThrownBy(() -> References.read("a,b,c\n1,2,3"))
                .isInstanceOf(BadInput.class)
                .hasMessageContaining("no reference");
        assertThatThrownBy(() -> References.read("@article{broken, author = {A"))
                .isInstanceOf(BadInput.class)
                .hasMessageContaining("cannot be read as BibTeX");
        assertThatThrownBy(() -> References.read("@article{a, title = " + "{".repeat(50_000)))
                .isInstanceOf(BadInput.class)
                .hasMessageContaining("braces stand more than 40 deep");
        assertThatThrownBy(() -> References.read("TY  - JOUR\nER  - \n".repeat(501)))
                .isInstanceOf(BadInput.class)
                .hasMessageContaining("at most 500");
    }
}
