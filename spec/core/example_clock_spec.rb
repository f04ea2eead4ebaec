# frozen_string_literal: true

require "spec_helper"
require "stringio"

# The specs' own: a run in which one stands still says which, and goes on.
RSpec.describe ExampleClock do
  let(:said) { StringIO.new }

  it "ends what stands still and tells where it stood" do
    clock = described_class.new("slow", seconds: 0.05, out: said)
    expect { clock.watch { sleep } }.to raise_error(described_class::Stuck, /“slow” stood still/)
    expect(said.string).to match(/“slow” stands still.*#<Thread.*#{File.basename(__FILE__)}:\d+/m)
  end

  it "leaves what ends in time alone" do
    expect(described_class.new("quick", seconds: 60, out: said).watch { 7 }).to eq(7)
    expect(said.string).to be_empty
  end

  it "ends the run where nothing else helps" do
    ended = Queue.new
    clock = described_class.new("deaf", seconds: 0.05, grace_s: 0.05, out: said, stop: -> { ended << true })
    clock.watch do
      Thread.handle_interrupt(described_class::Stuck => :never) { ended.pop }
    rescue described_class::Stuck
      nil
    end
    expect(said.string).to match(/“deaf” cannot be ended/)
  end
end
