using System.Reflection;
using System.Text.Json;
using BrightKettle.Server.Answers;
using BrightKettle.Server.Exchange;
using Xunit;

namespace BrightKettle.Server.Tests;

/// <summary>The schema, what is read and what is written are one form.</summary>
public class ExchangeSchemaTests
{
    private static readonly JsonElement Schema = JsonDocument
        .Parse(typeof(CookDocument).Assembly.GetManifestResourceStream("cook-1.schema.json")!)
        .RootElement;

    private static readonly string[] Look = ["definitions", "when", "properties", "look", "anyOf", "1"];
    private static readonly string[] NotYet = [.. Look, "properties", "notYet", "anyOf", "1"];

    /// <summary>A figure is a place in a list.</summary>
    private static JsonElement At(params string[] path) =>
        path.Aggregate(Schema, (e, name) => e.ValueKind == JsonValueKind.Array ? e[int.Parse(name)] : e.GetProperty(name));

    public static TheoryData<Type, string[]> Forms =>
        new()
        {
            { typeof(CookDocument), [] },
            { typeof(CookKitchenDocument), ["properties", "kitchen"] },
            { typeof(IngredientDocument), ["properties", "ingredients", "items"] },
            { typeof(CookerDocument), ["definitions", "cooker"] },
            { typeof(OtherVesselDocument), ["definitions", "vessel"] },
            { typeof(ActionDocument), ["definitions", "action"] },
            { typeof(WhenDocument), ["definitions", "when"] },
            { typeof(LookDocument), Look },
            { typeof(NotYetDocument), NotYet },
            { typeof(LidOffDocument), [.. Look, "properties", "lidOff", "anyOf", "1"] },
            { typeof(LockAgainDocument), [.. NotYet, "properties", "lockAgain", "anyOf", "1"] },
        };

    [Theory]
    [MemberData(nameof(Forms))]
    public void Each_form_has_the_same_properties_in_the_schema(Type form, string[] path)
    {
        var said = At([.. path, "properties"]).EnumerateObject().Select(p => p.Name).Order(StringComparer.Ordinal);
        var read = form.GetProperties(BindingFlags.Public | BindingFlags.Instance)
            .Select(p => JsonNamingPolicy.CamelCase.ConvertName(p.Name))
            .Order(StringComparer.Ordinal);
        Assert.Equal(read, said);
    }

    /// <summary>Closed sets of the form and enums of the schema hold the same words.</summary>
    [Theory]
    [MemberData(nameof(Forms))]
    public void Each_closed_set_has_the_same_words_in_the_schema(Type form, string[] path)
    {
        var properties = At([.. path, "properties"]);
        foreach (var property in form.GetProperties().Where(p => p.GetCustomAttribute<OneOfAttribute>() is not null))
        {
            var words = property.GetCustomAttribute<OneOfAttribute>()!.Words.Order(StringComparer.Ordinal);
            var said = properties
                .GetProperty(JsonNamingPolicy.CamelCase.ConvertName(property.Name))
                .GetProperty("enum")
                .EnumerateArray()
                .Where(e => e.ValueKind == JsonValueKind.String)
                .Select(e => e.GetString()!)
                .Order(StringComparer.Ordinal);
            Assert.Equal(words, said);
        }
    }
}
