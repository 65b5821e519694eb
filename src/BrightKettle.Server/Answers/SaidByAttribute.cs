namespace BrightKettle.Server.Answers;

/// <summary>The closed set of codes for which the catalogue has a sentence of this family: a code without one does not compile on the
/// page, and is refused here.</summary>
/// <param name="family">As caution in caution.foam.title.</param>
/// <param name="part">As title there; null where the family's sentences have one part.</param>
[AttributeUsage(AttributeTargets.Property)]
public sealed class SaidByAttribute(string family, string? part = null) : OneOfAttribute(CodesOf(family, part))
{
    public string Family => family;

    public string? Part => part;

    /// <summary>Every code of the family, in the order of the keys.</summary>
    public static string[] CodesOf(string family, string? part = null)
    {
        var (start, end) = ($"{family}.", part is null ? string.Empty : $".{part}");
        return
        [
            .. Messages
                .Messages.Keys.Where(k => k.StartsWith(start, StringComparison.Ordinal) && k.EndsWith(end, StringComparison.Ordinal))
                .Select(k => k[start.Length..^end.Length])
                .Order(StringComparer.Ordinal),
        ];
    }
}
