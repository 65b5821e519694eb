using System.Diagnostics;
using System.Net.Http.Json;
using System.Text;
using System.Text.Json.Nodes;

namespace BrightKettle.Reliability.Fuzz;

/// <summary>What was counted over all requests.</summary>
public sealed class FuzzTally
{
    public int Requests { get; set; }

    public SortedDictionary<int, int> Statuses { get; } = [];

    /// <summary>Answers of 500: must be none.</summary>
    public List<string> Faults { get; } = [];

    /// <summary>Answers that took longer than is allowed: must be none.</summary>
    public List<string> Hangs { get; } = [];

    /// <summary>Errors that are none of ours: without code, or without the headers of all else.</summary>
    public List<string> Bare { get; } = [];

    /// <summary>Refused requests that changed something all the same: must be none.</summary>
    public List<string> HalfSaves { get; } = [];

    public TimeSpan Longest { get; set; }
}

/// <summary>Asks a server everything that it can be asked, spoilt, one request after the other; the same ones for the same seed.</summary>
/// <param name="state">What is stored, as one text that differs when anything does.</param>
public sealed class Fuzzer(HttpClient http, int seed, Func<string> state)
{
    /// <summary>An answer that takes longer hangs.</summary>
    public static readonly TimeSpan Hang = TimeSpan.FromSeconds(5);

    private readonly Random _random = new(seed);
    private readonly List<string> _ids = ["blue-pot", "front", "chickpea"];
    private Interface _interface = null!;
    private Mutator _mutator = null!;

    /// <summary>A dinner that is kept, one at the stove, and bodies that are fine.</summary>
    public async Task PrepareAsync(DateTimeOffset now)
    {
        var dish = JsonNode.Parse(
            """
            {"pulseId":"chickpea","pulse":{"value":300,"unit":"g"},"riceId":"brown_basmati","rice":{"value":300,"unit":"g"},"people":4,"soak":"overnight","style":"dry","vesselId":"blue-pot",
            "burnerId":"front","serveAtLocal":"2026-11-25T19:00","seed":7,"method":"open_pot","cookerId":null,"extras":[{"extraId":"onion","amount":{"value":120,"unit":"g"}}],"others":[{"pulseId":"lentil_brown"}],"away":[{"fromLocal":"2026-11-25T09:00","toLocal":"2026-11-25T11:00"}]}
            """
        )!;
        var ids = new[] { Guid.CreateVersion7(), Guid.CreateVersion7() };
        foreach (var id in ids)
        {
            var body = new
            {
                eventId = Guid.CreateVersion7(),
                occurredAt = now,
                title = "To be spoilt",
                dish,
                basedOn = (long?)null,
            };
            (await http.PostAsJsonAsync($"/api/cooks/{id}", body)).EnsureSuccessStatusCode();
            _ids.Add(id.ToString());
        }

        var started = await http.PostAsJsonAsync(
            $"/api/stove/{ids[1]}/start",
            new
            {
                eventId = Guid.CreateVersion7(),
                occurredAt = now,
                basedOn = (await http.GetFromJsonAsync<JsonNode>($"/api/cooks/{ids[1]}"))!["version"]!.GetValue<long>(),
            }
        );
        started.EnsureSuccessStatusCode();
        var moment = (string)(await http.GetFromJsonAsync<JsonNode>($"/api/stove/{ids[1]}"))!["nowId"]!;
        var cook = (await http.GetFromJsonAsync<JsonNode>($"/api/cooks/{ids[0]}/cook.json"))!;
        var entry = JsonNode.Parse(
            $$"""{"eventId":"{{Guid.CreateVersion7()}}","occurredAt":"{{now:O}}","basedOn":1,"kind":"did","by":"laptop","momentId":"{{moment}}","millilitres":100}"""
        )!;
        _interface = new Interface(
            (await http.GetFromJsonAsync<JsonObject>("/openapi/v1.json"))!,
            new Dictionary<string, JsonNode>
            {
                ["DishDto"] = dish,
                ["CookDocument"] = cook,
                ["StoveEntry"] = entry,
            }
        );
        _mutator = new Mutator(_random);
    }

    public async Task<FuzzTally> RunAsync(int requests, Func<bool>? enough = null)
    {
        var tally = new FuzzTally();
        for (var i = 0; i < requests && enough?.Invoke() != true; i++)
        {
            await OneAsync(tally);
        }

        return tally;
    }

    private async Task OneAsync(FuzzTally tally)
    {
        var operation = _interface.Operations[_random.Next(_interface.Operations.Count)];
        var (path, method) = (Path(operation), _random.Next(40) == 0 ? "PATCH" : operation.Method);
        using var request = new HttpRequestMessage(new HttpMethod(method), path);
        string? body = null;
        if (operation.Body is { } schema)
        {
            body = _mutator.Body(Renewed(_interface.Fitting(schema, _random)));
            request.Content = new ByteArrayContent(Encoding.UTF8.GetBytes(body));
            request.Content.Headers.TryAddWithoutValidation("Content-Type", _mutator.ContentType());
        }

        var writes = method is not "GET";
        var before = writes ? state() : string.Empty;
        var clock = Stopwatch.StartNew();
        var what = $"{method} {path} {(body?.Length > 600 ? body[..600] + "…" : body)}";
        // A machine under eight times its load answers after eight times as long.
        using var late = new CancellationTokenSource(8 * Hang);
        int status;
        string problem;
        try
        {
            // A stream has no end: what counts is that it begins.
            using var answer = await http.SendAsync(request, HttpCompletionOption.ResponseHeadersRead, late.Token);
            status = (int)answer.StatusCode;
            problem =
                status < 400
                    ? Faultless(await BeginningAsync(answer, late.Token))
                    : FaultOf(answer, await answer.Content.ReadAsStringAsync(late.Token));
        }
        catch (OperationCanceledException)
        {
            (status, problem) = (0, string.Empty);
            tally.Hangs.Add(what);
        }

        tally.Requests++;
        tally.Statuses[status] = tally.Statuses.GetValueOrDefault(status) + 1;
        tally.Longest = clock.Elapsed > tally.Longest ? clock.Elapsed : tally.Longest;
        if (clock.Elapsed > Hang && status != 0)
        {
            tally.Hangs.Add($"{clock.Elapsed.TotalSeconds:0.0} s: {what}");
        }

        if (status >= 500 && status is not 503)
        {
            tally.Faults.Add($"{status}: {what}");
        }

        if (problem.Length > 0)
        {
            tally.Bare.Add($"{status} {problem}: {what}");
        }

        if (writes && status >= 400 && before != state())
        {
            tally.HalfSaves.Add($"{status}: {what}");
        }
    }

    /// <summary>Ids of events are made anew, or all but the first would be retries.</summary>
    private JsonNode? Renewed(JsonNode? body)
    {
        if (body is JsonObject o)
        {
            foreach (var (name, value) in o.ToList())
            {
                if (name == "eventId" && _random.Next(10) > 0)
                {
                    o[name] = Guid.CreateVersion7().ToString();
                }
                else
                {
                    Renewed(value);
                }
            }
        }
        else if (body is JsonArray a)
        {
            foreach (var value in a)
            {
                Renewed(value);
            }
        }

        return body;
    }

    private string Path(Operation operation)
    {
        var path = string.Join('/', operation.Path.Split('/').Select(s => s.StartsWith('{') ? _mutator.Segment(_ids) : s));
        var query = operation.Query.Where(_ => _random.Next(2) == 0).Select(q => $"{q}={_mutator.Value()}").ToList();
        return query.Count > 0 ? $"{path}?{string.Join('&', query)}" : path;
    }

    private static async Task<string> BeginningAsync(HttpResponseMessage answer, CancellationToken cancel)
    {
        await using var stream = await answer.Content.ReadAsStreamAsync(cancel);
        var kind = answer.Content.Headers.ContentType?.MediaType;
        if (kind == "text/event-stream")
        {
            return string.Empty;
        }

        using var reader = new StreamReader(stream);
        // What comes line by line shows how far it is; a page that has seen enough calls it off, and so does this.
        return kind == "application/x-ndjson" ? await reader.ReadLineAsync(cancel) ?? string.Empty : await reader.ReadToEndAsync(cancel);
    }

    private static string Faultless(string _) => string.Empty;

    private static string FaultOf(HttpResponseMessage answer, string body)
    {
        // What is no HTTP at all (a null byte in an address) is turned away before any part of ours sees it.
        if (answer.StatusCode == System.Net.HttpStatusCode.BadRequest && body.Length == 0)
        {
            return string.Empty;
        }

        if (!answer.Headers.Contains("X-Content-Type-Options") || !answer.Headers.Contains("Content-Security-Policy"))
        {
            return "without its headers";
        }

        return body.Contains("\"code\":", StringComparison.Ordinal) ? string.Empty : "without a code";
    }
}
