# frozen_string_literal: true

require "app_helper"

RSpec.describe App::Routes::Press do
  before do
    empty_database
    stub_const("App::PressPiece::SHEETS", 2)
  end

  let(:book) { kept_book }

  def order(sheets = "all")
    send_json(:post, "/api/books/#{book.id}/runs", {sheets: sheets})
    App::PressRun.last
  end

  # The path of its one file.
  def file_of(run) = run.files.first&.then { |file| App::Finished.path(file.place) }

  # All that lies among the finished files.
  def kept = Dir.glob("**/*", base: App::Finished.folder).select { |path| path.match?(/\.\w+\z/) }

  def work = Delayed::Worker.new(quiet: true, exit_on_complete: true).start

  it "prints in pieces and shows a file only when it is whole" do
    run = order
    expect(run.pieces.count).to be > 1
    expect(run.files).to be_empty
    Delayed::Worker.new(quiet: true).work_off(1)
    expect(run.reload).to have_attributes(state: "running", files: [], done: 2)
    expect(kept.grep(%r{\A#{run.id}/})).to be_empty
    work
    expect(run.reload.state).to eq("done")
    expect(outside("qpdf", "--check", file_of(run))).to include("No syntax")
    expect(outside("pdfinfo", file_of(run))).to match(/Pages:\s+#{run.total}$/)
    expect(run.pieces.where.not(pages: nil)).to be_empty
    ask("/api/books/#{book.id}/runs/#{run.id}/file")
    expect(last_response.body.bytesize).to eq(run.files.first.bytes)
    expect(last_response.headers["content-disposition"]).to include("Test moss.pdf")
  end

  it "prints the same bytes from the database as the core prints from the exported file" do
    run = order("1-2")
    work
    ask("/api/books/#{book.id}/file")
    folio = TileLoom::Document::Folio.new(nil, TileLoom::Document::Book.parse(last_response.body))
    Dir.mktmpdir do |folder|
      cells = folio.document.cells(folio.source)
      press = TileLoom::Output::Press.new(book: folio.document, source: folio.source)
      press.bind(cells.first(2).map { |cell| press.page(cell) }, "#{folder}/core.pdf")
      expect(File.binread("#{folder}/core.pdf")).to eq(File.binread(file_of(run.reload)))
    end
  end

  it "prints the book as it was when asked for" do
    run = order("1")
    send_json(:patch, "/api/books/#{book.id}", {patch: {title: "Changed since"}, label: "Title"})
    work
    expect(outside("pdftotext", file_of(run.reload), "-")).to include("Test moss")
  end

  it "stops when it is told to, and leaves no file" do
    run = order
    Delayed::Worker.new(quiet: true).work_off(1)
    send_json(:post, "/api/books/#{book.id}/runs/#{run.id}/cancel", {})
    expect(answer["state"]).to eq("cancelled")
    work
    expect(run.reload).to have_attributes(state: "cancelled", files: [])
    expect(Delayed::Job.count).to eq(0)
    expect(kept.grep(%r{\A#{run.id}/})).to be_empty
    ask("/api/books/#{book.id}/runs/#{run.id}/file")
    expect(last_response.status).to eq(404)
  end

  # A worker that was killed holds its job; the next start frees it and the run goes on, without drawing
  # again what was finished.
  it "goes on after a worker has died" do
    run = order
    Delayed::Worker.new(quiet: true).work_off(1)
    dead = Process.spawn("true").tap { |pid| Process.wait(pid) }
    Delayed::Job
      .order(:id)
      .first
      .update_columns(locked_by: "host:#{Socket.gethostname} pid:#{dead}", locked_at: Delayed::Job.db_time_now)
    work
    expect(run.reload.state).to eq("running")
    App::WorkerSettings.free_orphans
    finished = run.pieces.find_by!(finished: true)
    expect { work }.not_to change { finished.reload.numbers }
    expect(run.reload.state).to eq("done")
    expect(outside("pdfinfo", file_of(run))).to match(/Pages:\s+#{run.total}$/)
  end

  it "leaves a job alone whose worker lives" do
    order("1")
    Delayed::Job.first.update_columns(
      locked_by: "host:#{Socket.gethostname} pid:#{Process.pid}",
      locked_at: Delayed::Job.db_time_now
    )
    App::WorkerSettings.free_orphans
    expect(Delayed::Job.first.locked_by).not_to be_nil
  end

  it "says why a run has failed" do
    run = order("1")
    document = run.document
    document["crs"] = "EPSG:0"
    run.update!(document: document)
    work
    expect(run.reload.state).to eq("failed")
    expect(run.reason).to match(/not a CRS/)
  end

  it "fails a run whose piece breaks again and again, with a reason" do
    run = order("1")
    allow(TileLoom::Output::Press).to receive(:new).and_raise("broken pen")
    Delayed::Worker.max_attempts.times do
      Delayed::Job.update_all(run_at: Time.now.utc - 1)
      work
    end
    expect(run.reload).to have_attributes(
      state: "failed",
      reason: /Drawing sheet 1 failed several times, so it is set aside/
    )
  end

  it "refuses a range that names no sheet" do
    order("99")
    expect(last_response.status).to eq(422)
    expect(answer["message"]).to match(/There is no sheet “99”/)
    expect(App::PressRun.count + Delayed::Job.count).to eq(0)
  end

  it "lists runs, the newest first" do
    order("1")
    order("2")
    ask("/api/books/#{book.id}/runs")
    expect(answer.map { |run| run["sheets"] }).to eq(%w[2 1])
  end
end
