# frozen_string_literal: true

RSpec.describe TileLoom::Assets::CacheFolder do
  around { |example| Dir.mktmpdir { |folder| (@folder = folder) && example.run } }

  # A photograph or a large layer takes minutes to make: two commands at once make it once.
  it "makes a thing once for all that ask for it at a time" do
    log = "#{@folder}/log"
    pids =
      Array.new(3) do
        fork do
          described_class
            .new("#{@folder}/kept")
            .fetch(["a"]) do |aside|
              File.write(log, "made\n", mode: "a")
              sleep 0.2
              File.write("#{aside}/thing", "whole")
            end
            .then { |path| File.write(log, "#{File.read("#{path}/thing")}\n", mode: "a") }
        ensure
          exit!(0)
        end
      end
    pids.each { |pid| Process.wait(pid) }
    expect(File.readlines(log, chomp: true).tally).to eq("made" => 1, "whole" => 3)
  end

  it "keeps nothing of what could not be made, and makes it the next time" do
    cache = described_class.new("#{@folder}/kept")
    expect { cache.fetch(["a"]) { |_| raise TileLoom::Refusal.new("data.no_features") } }.to raise_error(
      TileLoom::Refusal
    )
    expect(cache.kept?(["a"])).to be(false)
    expect(File.read(File.join(cache.fetch(["a"]) { |aside| File.write("#{aside}/x", "1") }, "x"))).to eq("1")
  end

  # Root may write everywhere, but not below a file.
  it "goes on without a place to keep things, and says so once" do
    File.write("#{@folder}/file", "")
    command =
      'require "tile_loom"; ' \
        '2.times { folder = TileLoom::Assets::CacheFolder.new(TileLoom::Assets::CacheFolder.of_user("layers")); ' \
        'puts File.read(folder.fetch(["a"]) { |aside| puts "made"; File.write("#{aside}/x", "kept") } + "/x") }'
    out, said, status =
      Open3.capture3({"XDG_CACHE_HOME" => "#{@folder}/file"}, "ruby", "-I#{TileLoom::ROOT}/lib", "-e", command)
    expect(status.success?).to be(true), said
    expect(out.lines(chomp: true)).to eq(%w[made kept kept])
    expect(said.scan("cannot be saved for the next time").length).to eq(1)
  end
end
