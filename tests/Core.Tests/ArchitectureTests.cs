using System.Reflection;
using System.Text.RegularExpressions;
using System.Xml.Linq;
using Xunit;

namespace BrightKettle.Core.Tests;

/// <summary>References point one way: between projects, and between the folders of the core.</summary>
public partial class ArchitectureTests
{
    /// <summary>What each folder of the core may use, beside itself.</summary>
    private static readonly Dictionary<string, string[]> Allowed = new()
    {
        ["Units"] = [],
        ["Catalogue"] = ["Units"],
        ["Kitchen"] = ["Units"],
        ["Cooking"] = ["Units", "Catalogue", "Kitchen"],
        ["Learning"] = ["Units", "Catalogue", "Kitchen", "Cooking"],
        ["Safety"] = ["Units", "Catalogue", "Kitchen", "Cooking"],
        ["Planning"] = ["Units", "Catalogue", "Kitchen", "Cooking", "Safety"],
        ["Stove"] = ["Units", "Catalogue", "Kitchen", "Cooking", "Learning", "Safety", "Planning"],
        ["Words"] = ["Units", "Catalogue", "Kitchen", "Cooking", "Safety", "Planning"],
    };

    [Fact]
    public void Folders_of_the_core_use_only_what_lies_below_them()
    {
        var core = Path.Combine(Root, "src", "BrightKettle.Core");
        var folders = Directory.GetDirectories(core).Select(d => Path.GetFileName(d)!).Order().ToList();
        Assert.Equal(Allowed.Keys.Order(), folders);
        Assert.All(folders, folder => Assert.All(Directory.GetFiles(Path.Combine(core, folder), "*.cs", SearchOption.AllDirectories), file =>
        {
            var used = Using().Matches(File.ReadAllText(file)).Select(m => m.Groups[1].Value).Where(u => u != folder);
            Assert.All(used, u => Assert.True(Allowed[folder].Contains(u), $"{folder}/{Path.GetFileName(file)} uses {u}"));
        }));
    }

    [Fact]
    public void The_core_knows_nobody_and_the_data_layer_only_the_core()
    {
        Assert.Empty(References("BrightKettle.Core"));
        Assert.Equal(["BrightKettle.Core"], References("BrightKettle.Data"));
        Assert.Equal(["BrightKettle.Core", "BrightKettle.Data"], References("BrightKettle.Server"));
    }

    [Fact]
    public void The_core_reads_no_clock_and_rolls_no_dice()
    {
        var core = Path.Combine(Root, "src", "BrightKettle.Core");
        Assert.All(Directory.GetFiles(core, "*.cs", SearchOption.AllDirectories), file =>
            Assert.DoesNotMatch(@"SystemClock|DateTime\.(Utc)?Now|new Random|Thread\.Sleep|Task\.Delay", File.ReadAllText(file)));
    }

    private static string Root => typeof(ArchitectureTests).Assembly.GetCustomAttributes<AssemblyMetadataAttribute>().Single(a => a.Key == "Root").Value!;

    private static IEnumerable<string> References(string project) =>
        XDocument.Load(Path.Combine(Root, "src", project, project + ".csproj"))
            .Descendants("ProjectReference")
            .Select(r => Path.GetFileNameWithoutExtension(r.Attribute("Include")!.Value))
            .Order();

    [GeneratedRegex(@"using BrightKettle\.Core\.(\w+);")]
    private static partial Regex Using();
}
