namespace BrightKettle.Server.Answers;

/// <summary>Something wrong with one field of a request. Its sentence stands in the catalogue.</summary>
public sealed record FieldFault(string Code, string Field, double? Low = null, double? High = null)
{
    public string Said() =>
        Code == "request.out_of_range" ? Messages.Messages.ProblemRequestOutOfRange(Low, High) : KettleProblems.Detail(Code);
}

/// <summary>Collects what is wrong with a request, so that all of it is said at once.</summary>
public sealed class FieldFaults
{
    private readonly List<FieldFault> _faults = [];

    public IReadOnlyList<FieldFault> Faults => _faults;

    public bool Any => _faults.Count > 0;

    public void Add(string code, string field) => _faults.Add(new(code, field));

    /// <summary>Notes the fault and stands for the value that could not be made.</summary>
    public T? Refuse<T>(string code, string field)
        where T : class
    {
        Add(code, field);
        return null;
    }

    /// <summary>A name that people give: some letters, not too many, and nothing in it that cannot be shown.</summary>
    /// <param name="lines">It may have several lines, as a note.</param>
    /// <returns>The text without blanks around it; empty with a fault.</returns>
    public string Text(string? text, int longest, string field, bool lines = false)
    {
        var trimmed = text?.Trim() ?? string.Empty;
        if (trimmed.Length == 0)
        {
            Add("request.missing", field);
        }
        else if (trimmed.Length > longest)
        {
            _faults.Add(new("request.too_long", field, null, longest));
        }
        else if (!DisplayableText.Is(lines ? trimmed.ReplaceLineEndings(" ") : trimmed))
        {
            Add("request.letters", field);
        }
        else
        {
            return trimmed;
        }

        return string.Empty;
    }

    /// <summary>The value, or the low end with a fault when it is not between the ends, both included.</summary>
    public double Within(double value, double low, double high, string field)
    {
        if (value >= low && value <= high)
        {
            return value;
        }

        _faults.Add(new("request.out_of_range", field, low, high));
        return low;
    }
}
