using System.Globalization;
using System.Text;

namespace BrightKettle.Server.Tests;

/// <summary>Draws who uses whom: a column of folders for each project, the lowest at the foot, an arc for each use that no other uses imply.</summary>
internal static class HouseDrawing
{
    private const int Row = 34;
    private const int Box = 150;
    private const int Column = 420;

    /// <param name="projects">Each with its folders, the lowest first, and what each of them uses.</param>
    public static string Svg(IReadOnlyList<(string Project, IReadOnlyList<(string Folder, string[] Uses)> Folders)> projects)
    {
        var most = projects.Max(p => p.Folders.Count);
        var (width, height) = (projects.Count * Column, ((most + 1) * Row) + 30);
        var svg = new StringBuilder();
        Line($"""<svg xmlns="http://www.w3.org/2000/svg" width="{width}" height="{height}" font-family="sans-serif" font-size="14">""");
        Line($"""<rect width="{width}" height="{height}" fill="#fffdf7"/>""");
        for (var p = 0; p < projects.Count; p++)
        {
            var (project, folders) = projects[p];
            var left = (p * Column) + 20;
            int Y(string folder) => height - 30 - ((folders.ToList().FindIndex(f => f.Folder == folder) + 1) * Row);
            Line($"""<text x="{left}" y="22" font-weight="bold" fill="#1f3470">{project}</text>""");
            foreach (var (folder, uses) in folders)
            {
                foreach (var used in uses.Where(u => !uses.Any(v => v != u && Reaches(folders, v, u))))
                {
                    var (from, to, edge) = (Y(folder) + 13, Y(used) + 13, left + Box);
                    var bend = edge + 20 + (Math.Abs(to - from) / 2);
                    Line(
                        $"""<path d="M{edge} {from} C{bend} {from} {bend} {to} {edge + 4} {to}" fill="none" stroke="#56702f" stroke-width="1.5"/>"""
                    );
                    Line($"""<circle cx="{edge + 4}" cy="{to}" r="3" fill="#56702f"/>""");
                }
            }

            foreach (var (folder, _) in folders)
            {
                Line(
                    $"""<rect x="{left}" y="{Y(folder)}" width="{Box}" height="26" rx="8" fill="#f5efe0" stroke="#1f3470" stroke-width="1.5"/>"""
                );
                Line($"""<text x="{left + 12}" y="{Y(folder) + 18}" fill="#20264a">{folder}</text>""");
            }
        }

        Line($"</svg>");
        return svg.ToString();

        void Line(FormattableString text) => svg.Append(text.ToString(CultureInfo.InvariantCulture)).Append('\n');
    }

    /// <summary>Whether one folder uses another, itself or through others.</summary>
    private static bool Reaches(IReadOnlyList<(string Folder, string[] Uses)> folders, string from, string to)
    {
        var uses = folders.Single(f => f.Folder == from).Uses;
        return uses.Contains(to) || uses.Any(u => Reaches(folders, u, to));
    }
}
