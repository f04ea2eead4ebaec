# frozen_string_literal: true

require "zeitwerk"
require_relative "../../setup/reloading"
require_relative "../../setup/source_stamp"

RSpec.describe Setup::Reloading do
  around { |example| Dir.mktmpdir { |folder| @folder = folder and example.run } }

  let(:file) { File.join(@folder, "peat_dam.rb") }
  let(:loader) do
    Zeitwerk::Loader.new.tap do |loader|
      loader.push_dir(@folder)
      loader.enable_reloading
      loader.setup
    end
  end
  let(:application) do
    described_class.new(Setup::SourceStamp.new(File.join(@folder, "*.rb")), [loader]) do
      ->(_env) { [200, {}, [PeatDam::STATE]] }
    end
  end

  after { loader.unload and loader.unregister }

  # Times of files count in whole steps of the file system's clock.
  def write(text, seconds)
    File.write(file, text)
    File.utime(Time.at(seconds), Time.at(seconds), file)
  end

  def answer = application.call({}).then { |status, _, body| [status, body.join] }

  it "answers by the code as it is, read again when it has changed" do
    write('class PeatDam; STATE = "sound"; end', 1_000)
    expect([answer, answer]).to eq([[200, "sound"]] * 2)
    write('class PeatDam; STATE = "leaking"; end', 2_000)
    expect(answer).to eq([200, "leaking"])
  end

  it "keeps nothing in the thread that was made of code that is no more" do
    write('class PeatDam; STATE = "sound"; end', 1_000)
    answer
    Thread.current.thread_variable_set(:spec_of_reloading, PeatDam.new)
    write('class PeatDam; STATE = "leaking"; end', 2_000)
    answer
    expect(Thread.current.thread_variable_get(:spec_of_reloading)).to be_nil
  end

  it "says what cannot be read, and answers again once it can" do
    write('class PeatDam; STATE = "sound"; end', 1_000)
    answer
    write("class PeatDam; STATE = ", 2_000)
    status, text = answer
    expect(status).to eq(500)
    expect(text).to start_with("SyntaxError").and include("peat_dam.rb")
    write('class PeatDam; STATE = "failed"; end', 3_000)
    expect(answer).to eq([200, "failed"])
  end

  it "sees files that come and go" do
    stamp = Setup::SourceStamp.new(File.join(@folder, "*.rb"))
    expect(stamp.changed?).to be(false)
    write("", 1_000)
    expect([stamp.changed?, stamp.changed?]).to eq([true, false])
    File.delete(file)
    expect(stamp.changed?).to be(true)
  end
end
