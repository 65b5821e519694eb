using System.Reflection;
using ArchUnitNET.Domain;
using ArchUnitNET.Loader;
using Xunit;
using Architecture = ArchUnitNET.Domain.Architecture;

namespace BrightKettle.Server.Tests;

/// <summary>References point one way, as the compiled code has them: between projects, between the folders of the core, and between those
/// of the server.</summary>
public class ArchitectureTests
{
    private const string Core = "BrightKettle.Core";
    private const string Data = "BrightKettle.Data";
    private const string Server = "BrightKettle.Server";

    /// <summary>The folders of the core: each uses only those that stand before it, and of them only these.</summary>
    private static readonly (string Folder, string[] Uses)[] CoreFolders =
    [
        ("Units", []),
        ("Catalogue", []),
        ("Kitchen", ["Units"]),
        ("Cooking", ["Units", "Catalogue", "Kitchen"]),
        ("Learning", ["Units", "Catalogue", "Cooking"]),
        ("Safety", ["Units", "Catalogue", "Kitchen", "Cooking"]),
        ("Planning", ["Units", "Catalogue", "Kitchen", "Cooking", "Safety"]),
        ("Stove", ["Units", "Catalogue", "Kitchen", "Cooking", "Learning", "Safety", "Planning"]),
        ("Practice", ["Units", "Catalogue", "Kitchen", "Cooking", "Safety", "Planning", "Stove"]),
        ("Words", ["Units", "Catalogue", "Kitchen", "Cooking", "Safety", "Planning"]),
    ];

    /// <summary>The folders of the server, likewise. Hosting starts it.</summary>
    private static readonly (string Folder, string[] Uses)[] ServerFolders =
    [
        ("Settings", []),
        ("Messages", []),
        ("Work", []),
        ("Answers", ["Messages", "Work"]),
        ("Exchange", ["Answers"]),
        ("Catalogue", ["Answers"]),
        ("Kitchen", ["Answers", "Exchange"]),
        ("Planning", ["Messages", "Work", "Answers", "Exchange", "Kitchen"]),
        ("Words", ["Messages", "Work", "Answers", "Exchange", "Catalogue", "Kitchen", "Planning"]),
        ("Record", ["Answers", "Exchange", "Planning"]),
        ("Pairing", ["Settings", "Work", "Answers"]),
        ("Stove", ["Messages", "Work", "Answers", "Exchange", "Kitchen", "Planning", "Record", "Pairing"]),
        ("Practice", ["Work", "Answers", "Kitchen", "Planning", "Stove"]),
        ("Hosting", ["Messages", "Settings", "Work", "Answers", "Exchange", "Kitchen", "Planning", "Record", "Pairing", "Stove"]),
    ];

    private static readonly Architecture Loaded = new ArchLoader()
        .LoadAssemblies(
            typeof(BrightKettle.Core.Cooking.Cook).Assembly,
            typeof(BrightKettle.Data.KettleDb).Assembly,
            typeof(Program).Assembly
        )
        .Build();

    [Fact]
    public void Folders_of_the_core_use_only_what_lies_below_them() => Check(Core, CoreFolders);

    [Fact]
    public void Folders_of_the_server_use_only_what_lies_below_them_so_there_is_no_circle() => Check(Server, ServerFolders);

    [Fact]
    public void The_core_knows_nobody_and_the_data_layer_only_the_core()
    {
        string[] foreign = [Data, Server, "Microsoft", "System.IO.File", "System.Net"];
        Assert.DoesNotContain(Uses(Core), u => foreign.Any(f => Within(u.To, f)));
        Assert.DoesNotContain(Uses(Data), u => Within(u.To, Server));
        // The walk sees anything at all.
        Assert.Contains(Uses(Server), u => Within(u.To, Core));
        Assert.Contains(Uses(Server), u => Within(u.To, Data));
    }

    [Fact]
    public void The_core_reads_no_clock_and_rolls_no_dice()
    {
        string[] forbidden =
        [
            "NodaTime.SystemClock",
            "System.Random",
            "System.TimeProvider",
            "System.Threading.Thread::Sleep",
            "System.DateTime::get_Now",
            "System.DateTime::get_UtcNow",
            "System.Threading.Tasks.Task::Delay",
        ];
        var calls = Loaded
            .Types.Where(t => Within(t.FullName, Core))
            .SelectMany(t => t.Dependencies)
            .Select(d =>
                d is ArchUnitNET.Domain.Dependencies.MethodCallDependency call
                    ? $"{call.Target.FullName}::{call.TargetMember.Name}"
                    : d.Target.FullName
            )
            .Distinct()
            .ToList();
        Assert.DoesNotContain(calls, c => forbidden.Any(f => c.StartsWith(f, StringComparison.Ordinal)));
        Assert.Contains(calls, c => c.StartsWith("NodaTime.Instant", StringComparison.Ordinal));
    }

    /// <summary>./kettle house writes the drawing anew; the tables that it shows are held against the compiled code above.</summary>
    [Fact]
    public void The_drawing_in_the_docs_is_of_this_house()
    {
        var drawn = HouseDrawing.Svg([("BrightKettle.Core", CoreFolders), ("BrightKettle.Server", ServerFolders)]);
        if (Environment.GetEnvironmentVariable("KETTLE_DRAW_HOUSE") is { } file)
        {
            File.WriteAllText(file, drawn);
        }

        Assert.Equal(File.ReadAllText(Path.Combine(AppContext.BaseDirectory, "house.svg")), drawn);
    }

    /// <summary>Each folder stands in the table, and uses nothing beside what the table lets it.</summary>
    private static void Check(string project, (string Folder, string[] Uses)[] table)
    {
        Assert.Equal(
            table.Select(t => t.Folder).Order(),
            Loaded
                .Types.Where(t => Within(t.FullName, project))
                .Select(t => Folder(t.FullName, project))
                .OfType<string>()
                .Distinct()
                .Order()
        );
        // What a folder may use stands before it: so no table allows a circle.
        Assert.All(table.Select((t, i) => (t.Uses, Before: table.Take(i).Select(b => b.Folder))), t =>
            Assert.Subset(t.Before.ToHashSet(), t.Uses.ToHashSet())
        );
        var allowed = table.ToDictionary(t => t.Folder, t => t.Uses);
        var across = Uses(project)
            .Select(u => (u.From, u.To, Mine: Folder(u.From, project), Theirs: Folder(u.To, project)))
            .Where(u => u.Mine is not null && u.Theirs is not null && u.Mine != u.Theirs)
            .ToList();
        Nothing(across.Where(u => !allowed[u.Mine!].Contains(u.Theirs)).Select(u => $"{u.Mine}: {u.From} uses {u.To}").Distinct().Order());
        // Whatever is allowed is made use of: a table that grows slack, or a walk that sees too little, fails.
        var used = across.Select(u => (u.Mine, u.Theirs)).ToHashSet();
        Nothing(table.SelectMany(t => t.Uses.Where(u => !used.Contains((t.Folder, u))).Select(u => $"{t.Folder} does not use {u}")));
    }

    private static void Nothing(IEnumerable<string> wrong)
    {
        var list = wrong.ToList();
        Assert.True(list.Count == 0, string.Join('\n', list));
    }

    private static IEnumerable<(string From, string To)> Uses(string project) =>
        Loaded.Types.Where(t => Within(t.FullName, project)).SelectMany(t => t.Dependencies.Select(d => (t.FullName, d.Target.FullName)));

    private static bool Within(string type, string project) => type.StartsWith(project + ".", StringComparison.Ordinal);

    /// <summary>The first folder below the project that a type lives in; null for one at its root.</summary>
    private static string? Folder(string type, string project)
    {
        if (!Within(type, project))
        {
            return null;
        }

        var path = type[(project.Length + 1)..];
        var end = path.IndexOfAny(['<', '`', '[']);
        var parts = (end < 0 ? path : path[..end]).Split('.');
        return parts.Length > 1 ? parts[0] : null;
    }
}
