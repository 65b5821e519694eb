using System.Security.Cryptography;

namespace BrightKettle.Server.Pairing;

/// <summary>Knows the page of this machine from other pages that happen to be open here: only its own can read the token that it has to
/// send back.</summary>
public sealed class OwnPageToken
{
    /// <summary>Anew at each start.</summary>
    public string Token { get; } = Convert.ToHexString(RandomNumberGenerator.GetBytes(24));

    public bool Is(string? token) =>
        token is { Length: > 0 and < 200 }
        && CryptographicOperations.FixedTimeEquals(System.Text.Encoding.UTF8.GetBytes(token), System.Text.Encoding.UTF8.GetBytes(Token));

    /// <summary>Whether a request can come from a page of another site: by its own word where the browser gives it, and by its
    /// origin.</summary>
    public static bool IsForeign(HttpRequest request)
    {
        ArgumentNullException.ThrowIfNull(request);
        var site = request.Headers["Sec-Fetch-Site"].ToString();
        var origin = request.Headers.Origin.ToString();
        return site is "cross-site" or "same-site"
            || (origin.Length > 0 && !string.Equals(origin, $"{request.Scheme}://{request.Host}", StringComparison.OrdinalIgnoreCase));
    }
}
