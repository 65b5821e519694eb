using System.Security.Cryptography;

namespace BrightKettle.Server.Pairing;

/// <summary>What became of a code that somebody typed.</summary>
public enum CodeAnswer
{
    Right,
    Wrong,

    /// <summary>None is open: never made, used, or too old.</summary>
    Spent,

    /// <summary>Not looked at: this address, or all of them together, tried too often.</summary>
    Wait,
}

/// <summary>The one code that is open: eight letters and figures, ten minutes, one phone.</summary>
/// <remarks>
/// Wrong tries void nothing, or a stranger could keep phones out; they only slow down whoever makes them. At
/// <see cref="MostTriesAMinute"/>, the most that all
/// addresses together get, the 32^8 codes would take 35,000 years.
/// </remarks>
public sealed class PairingCode(TimeProvider clock)
{
    /// <summary>Without those that are taken for each other.</summary>
    private const string Letters = "23456789ABCDEFGHJKLMNPQRSTUVWXYZ";

    public const int Length = 8;
    public const int MostTriesAMinute = 60;

    /// <summary>An address may mistype so often before it has to wait.</summary>
    private const int FreeTries = 4;

    private const int MostAddresses = 500;

    private static readonly TimeSpan Lives = TimeSpan.FromMinutes(10);
    private static readonly TimeSpan FirstPause = TimeSpan.FromSeconds(5);
    private static readonly TimeSpan LongestPause = TimeSpan.FromMinutes(10);

    private readonly Lock _lock = new();
    private readonly Dictionary<string, (int Failed, DateTimeOffset NotBefore)> _addresses = [];
    private string? _code;
    private DateTimeOffset _until;
    private DateTimeOffset _minute;
    private int _inThisMinute;

    /// <summary>Makes a new code; the one before is void.</summary>
    public (string Code, DateTimeOffset Until) Make()
    {
        lock (_lock)
        {
            _code = RandomNumberGenerator.GetString(Letters, Length);
            _until = clock.GetUtcNow() + Lives;
            return (_code, _until);
        }
    }

    /// <param name="from">The address that tries.</param>
    /// <param name="pause">After <see cref="CodeAnswer.Wait"/>: how long.</param>
    public CodeAnswer Try(string typed, string from, out TimeSpan pause)
    {
        ArgumentNullException.ThrowIfNull(typed);
        ArgumentNullException.ThrowIfNull(from);
        lock (_lock)
        {
            var now = clock.GetUtcNow();
            if (now - _minute >= TimeSpan.FromMinutes(1))
            {
                (_minute, _inThisMinute) = (now, 0);
            }

            var (failed, notBefore) = _addresses.GetValueOrDefault(from);
            pause =
                now < notBefore ? notBefore - now
                : _inThisMinute >= MostTriesAMinute ? _minute + TimeSpan.FromMinutes(1) - now
                : TimeSpan.Zero;
            if (pause > TimeSpan.Zero)
            {
                return CodeAnswer.Wait;
            }

            _inThisMinute++;
            var open = _code is not null && now < _until;
            if (open && CryptographicOperations.FixedTimeEquals(Bytes(Plain(typed)), Bytes(_code!)))
            {
                _code = null;
                _addresses.Remove(from);
                return CodeAnswer.Right;
            }

            if (_addresses.Count >= MostAddresses)
            {
                // Those whose pause is over have nothing to lose but a fresh start.
                foreach (var over in _addresses.Where(a => a.Value.NotBefore <= now).Select(a => a.Key).ToList())
                {
                    _addresses.Remove(over);
                }
            }

            failed++;
            var next = failed <= FreeTries ? TimeSpan.Zero : FirstPause * Math.Pow(2, Math.Min(failed - FreeTries - 1, 10));
            _addresses[from] = (failed, now + (next < LongestPause ? next : LongestPause));
            return open ? CodeAnswer.Wrong : CodeAnswer.Spent;
        }
    }

    /// <summary>As it was shown, whatever was put between the letters.</summary>
    private static string Plain(string typed) =>
        new([.. typed.Where(char.IsAsciiLetterOrDigit).Take(4 * Length).Select(char.ToUpperInvariant)]);

    private static byte[] Bytes(string code) => System.Text.Encoding.ASCII.GetBytes(code);
}
