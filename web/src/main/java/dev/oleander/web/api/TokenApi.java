package dev.oleander.web.api;

import dev.oleander.web.account.AccessToken;
import dev.oleander.web.account.AccessTokens;
import dev.oleander.web.account.SignedIn;
import java.net.URI;
import java.util.List;
import org.springframework.http.CacheControl;
import org.springframework.http.ResponseEntity;
import org.springframework.security.core.annotation.AuthenticationPrincipal;
import org.springframework.web.bind.annotation.DeleteMapping;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestBody;
import org.springframework.web.bind.annotation.RequestMapping;
import org.springframework.web.bind.annotation.RestController;

/** Personal tokens over HTTP. */
@RestController
@RequestMapping("/api/tokens")
class TokenApi {

    private static final int USUAL_DAYS = 90;

    private final AccessTokens tokens;

    TokenApi(AccessTokens tokens) {
        this.tokens = tokens;
    }

    /**
     * @param name what it is for
     * @param scope {@code read}: look and take programs; {@code work}: all that the person may
     * @param days how long it holds; null: 90
     */
    record TokenRequest(String name, String scope, Integer days) {}

    /**
     * @param end moment from which it signs in no more
     * @param lastUse to the minute; null: never
     * @param secret only in the answer that makes it
     */
    record TokenJson(
            long id,
            String name,
            String scope,
            String made,
            String end,
            String lastUse,
            String secret) {}

    @GetMapping
    List<TokenJson> tokens(@AuthenticationPrincipal SignedIn who) {
        return tokens.of(who).stream().map(t -> json(t, null)).toList();
    }

    @PostMapping
    ResponseEntity<TokenJson> make(
            @RequestBody TokenRequest request, @AuthenticationPrincipal SignedIn who) {
        int days = request.days() == null ? USUAL_DAYS : request.days();
        AccessTokens.Made made = tokens.make(request.name(), request.scope(), days, who);
        return ResponseEntity.created(URI.create("/api/tokens/" + made.token().id()))
                .cacheControl(CacheControl.noStore())
                .body(json(made.token(), made.secret()));
    }

    /** Revokes one of one's own. */
    @DeleteMapping("/{id}")
    ResponseEntity<Void> revoke(@PathVariable long id, @AuthenticationPrincipal SignedIn who) {
        tokens.revoke(id, who);
        return ResponseEntity.noContent().build();
    }

    private static TokenJson json(AccessToken token, String secret) {
        return new TokenJson(
                token.id(),
                token.name(),
                token.scope().word(),
                token.madeAt().toString(),
                token.endsAt().toString(),
                token.usedAt() == null ? null : token.usedAt().toString(),
                secret);
    }
}
