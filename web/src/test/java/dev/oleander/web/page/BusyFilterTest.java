package dev.oleander.web.page;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import jakarta.servlet.ServletException;
import java.sql.SQLTransientConnectionException;
import org.junit.jupiter.api.Test;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.transaction.CannotCreateTransactionException;

class BusyFilterTest {

    private static MockHttpServletResponse answer(String path, Exception failure) throws Exception {
        MockHttpServletResponse response = new MockHttpServletResponse();
        new BusyFilter()
                .doFilter(
                        new MockHttpServletRequest("GET", path),
                        response,
                        (request, answer) -> {
                            answer.getWriter().write("half a page");
                            throw new ServletException(failure);
                        });
        return response;
    }

    @Test
    void whoWaitedInVainIsToldToComeAgain() throws Exception {
        Exception[] busy = {
            new CannotCreateTransactionException(
                    "no connection", new SQLTransientConnectionException("timed out")),
            new RuntimeException(new SQLTransientConnectionException("timed out")),
            new CannotAcquireLockException("lock timeout")
        };
        for (Exception failure : busy) {
            MockHttpServletResponse page = answer("/jobs/1/cuts", failure);
            assertThat(page.getStatus()).isEqualTo(503);
            assertThat(page.getHeader("Retry-After")).isEqualTo("2");
            assertThat(page.getContentAsString())
                    .contains("Too much is going on")
                    .doesNotContain("half a page");
            MockHttpServletResponse call = answer("/api/jobs/1", failure);
            assertThat(call.getContentType()).isEqualTo("application/problem+json");
            assertThat(call.getContentAsString()).contains("\"status\":503");
        }
    }

    @Test
    void otherFailuresStayWhatTheyAre() {
        assertThatThrownBy(() -> answer("/", new IllegalStateException("a mistake")))
                .isInstanceOf(ServletException.class)
                .hasRootCauseMessage("a mistake");
    }
}
