package dev.oleander.web.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import org.junit.jupiter.api.Test;
import org.springframework.mock.web.MockHttpServletRequest;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.security.authentication.BadCredentialsException;
import org.springframework.security.authentication.InternalAuthenticationServiceException;
import tools.jackson.databind.json.JsonMapper;

class SignInFailuresTest {

    private final MockHttpServletRequest request = new MockHttpServletRequest();
    private final MockHttpServletResponse response = new MockHttpServletResponse();

    @Test
    void aWrongPasswordIsTold() throws Exception {
        new SignInFailures()
                .onAuthenticationFailure(request, response, new BadCredentialsException("wrong"));
        assertThat(response.getRedirectedUrl()).isEqualTo("/sign-in?refused&to=%2F");
    }

    @Test
    void aDatabaseThatIsAwayIsNoWrongPassword() {
        var away = new InternalAuthenticationServiceException("no connection");
        assertThatThrownBy(
                        () -> new SignInFailures().onAuthenticationFailure(request, response, away))
                .isSameAs(away);
        ApiSignInProblems problems = new ApiSignInProblems(JsonMapper.shared());
        assertThatThrownBy(() -> problems.commence(request, response, away)).isSameAs(away);
    }
}
