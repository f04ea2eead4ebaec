# frozen_string_literal: true

RSpec.describe TileLoom::Output::Parallel do
  def shared(&block) = described_class.new(processes: 2).map([1, 2, 3], &block).to_a

  it "gives what its processes make, in order, whatever kind of thing that is" do
    refusal = TileLoom::Refusal.new("data.no_features")
    expect(shared { |item| item * 10 }).to eq([10, 20, 30])
    expect(shared { |_| refusal }.map(&:message)).to eq([refusal.message] * 3)
  end

  it "refuses here what a process refuses, in its words" do
    expect { shared { |item| (item == 2) ? raise(TileLoom::Refusal.new("data.no_features")) : item } }.to raise_error(
      TileLoom::Refusal,
      TileLoom::Refusal.new("data.no_features").message
    )
  end

  it "says before which sheet a process stopped" do
    expect { shared { |item| (item == 3) ? Process.kill("KILL", Process.pid) : item } }.to raise_error(
      TileLoom::Failure,
      /before sheet 3/
    )
  end
end
