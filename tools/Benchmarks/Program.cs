using BenchmarkDotNet.Configs;
using BenchmarkDotNet.Exporters;
using BenchmarkDotNet.Jobs;
using BenchmarkDotNet.Running;
using BenchmarkDotNet.Toolchains.InProcess.Emit;
using BrightKettle.Benchmarks;

// In its own process: BenchmarkDotNet's usual way restores a project of its own, which needs a network.
// Warm until the runtime has compiled all of it at full strength, as in a server that has planned a few dinners.
var job = Job.Default.WithToolchain(InProcessEmitToolchain.Instance).WithWarmupCount(12).WithIterationCount(8);
var config = ManualConfig
    .Create(DefaultConfig.Instance)
    .AddJob(job)
    .AddExporter(MarkdownExporter.GitHub)
    .WithArtifactsPath(args.Length > 0 ? args[0] : "artifacts/bench");
BenchmarkSwitcher.FromTypes([typeof(PotBenchmarks), typeof(PlanBenchmarks)]).RunAll(config);
