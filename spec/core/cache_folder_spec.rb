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
end
