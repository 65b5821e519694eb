using System.Text.Json.Nodes;
using BrightKettle.Server.Answers;
using Microsoft.AspNetCore.OpenApi;
using Microsoft.OpenApi;

namespace BrightKettle.Server.Hosting;

/// <summary>What the generated description of the interface cannot know by itself: closed sets of words, and the answers of the one error
/// path.</summary>
internal static class InterfaceDescription
{
    /// <summary>Answers that every address may give, with the reason.</summary>
    private static readonly (string Status, string Why)[] Everywhere =
    [
        ("400", "Something in the request is wrong: code, field and sentence of each fault."),
        ("401", "Over the network: this device is not paired."),
        ("403", "Not from here: another machine, or a page of another site."),
        ("404", "There is no such thing."),
        ("409", "Changed elsewhere, taken, or not in a state for it."),
        ("413", "More than is taken at once."),
        ("415", "No JSON in UTF-8."),
        ("422", "Refused with what would work instead, or over a limit of computing."),
        ("429", "Too often, or too much open at once."),
        ("503", "Too much is being computed, or the server stops."),
    ];

    private const string ProblemType = "application/problem+json";
    private const string ProblemName = "Problem";

    public static void Configure(OpenApiOptions options)
    {
        options.AddSchemaTransformer(
            static (schema, context, _) =>
            {
                if (
                    context.JsonPropertyInfo?.AttributeProvider?.GetCustomAttributes(typeof(OneOfAttribute), inherit: false)
                    is [OneOfAttribute { Words: var words }]
                )
                {
                    // Of a list each is one of them.
                    var of = schema.Items as OpenApiSchema ?? schema;
                    of.Enum = [.. words.Select(w => (JsonNode)w)];
                    // What may be left out may also be null.
                    if (of == schema && schema.Type?.HasFlag(JsonSchemaType.Null) == true)
                    {
                        of.Enum.Add(JsonNullSentinel.JsonNull);
                    }
                }

                return Task.CompletedTask;
            }
        );
        options.AddDocumentTransformer(
            static (document, _, _) =>
            {
                document.Components ??= new();
                document.Components.Schemas ??= new Dictionary<string, IOpenApiSchema>();
                document.Components.Schemas[ProblemName] = Problem();
                foreach (var operation in document.Paths.Values.Where(p => p.Operations is not null).SelectMany(p => p.Operations!.Values))
                {
                    operation.Responses ??= [];
                    foreach (var (status, why) in Everywhere)
                    {
                        operation.Responses[status] = new OpenApiResponse
                        {
                            Description = why,
                            Content = new Dictionary<string, OpenApiMediaType>
                            {
                                [ProblemType] = new() { Schema = new OpenApiSchemaReference(ProblemName, document) },
                            },
                        };
                    }
                }

                return Task.CompletedTask;
            }
        );
    }

    /// <summary>RFC 9457, with this program's own parts.</summary>
    private static OpenApiSchema Problem() =>
        new()
        {
            Type = JsonSchemaType.Object,
            Required = new HashSet<string> { "type", "title", "status", "detail", "code" },
            Properties = new Dictionary<string, IOpenApiSchema>
            {
                ["type"] = Text("urn:bright-kettle: and the code"),
                ["title"] = Text("In short."),
                ["status"] = new OpenApiSchema { Type = JsonSchemaType.Integer },
                ["detail"] = Text("A whole sentence."),
                ["code"] = Text("Stable: what a program goes by."),
                ["field"] = Text("The first field that is wrong."),
                ["limit"] = Text("Which limit was reached: simulated_hours, steps or milliseconds."),
                ["faults"] = new OpenApiSchema
                {
                    Type = JsonSchemaType.Integer,
                    Description = "How many there are; errors names the first 20.",
                },
                ["errors"] = new OpenApiSchema
                {
                    Type = JsonSchemaType.Array,
                    Items = new OpenApiSchema
                    {
                        Type = JsonSchemaType.Object,
                        Required = new HashSet<string> { "code", "field", "detail" },
                        Properties = new Dictionary<string, IOpenApiSchema>
                        {
                            ["code"] = Text("As above."),
                            ["field"] = Text("A path such as extras[0].amount."),
                            ["detail"] = Text("A whole sentence."),
                        },
                    },
                },
            },
        };

    private static OpenApiSchema Text(string what) => new() { Type = JsonSchemaType.String, Description = what };
}
