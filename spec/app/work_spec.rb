# frozen_string_literal: true

require "app_helper"

# Work that takes its time: in turn, stopped unharmed, set aside, swept up.
RSpec.describe "Work" do
  before { empty_database }

  let(:book) { kept_book }

  def fresh = App::Book.find(book.id)

  def worker(**options) = App::Worker.new(quiet: true, exit_on_complete: true, **options)

  # Another job than those that ship.
  def job(&block)
    stub_const("App::SpecJob", Struct.new(:number) { define_method(:perform) { block.call(number) } })
    App::SpecJob
  end

  after { Delayed::Worker.max_priority = nil }

  describe "a worker that is stopped" do
    it "puts its job back unharmed, however often" do
      Delayed::Job.enqueue(job { raise SignalException, "TERM" }.new(1))
      4.times do
        worker.work_off(1)
        expect(Delayed::Job.pluck(:attempts, :locked_by, :last_error)).to eq([[0, nil, nil]])
      end
    end

    it "does the same where the database went away, and counts nothing but the job's own errors" do
      Delayed::Job.enqueue(job { raise ActiveRecord::ConnectionFailed, "gone" }.new(1))
      worker.work_off(1)
      expect(Delayed::Job.pluck(:attempts, :locked_by)).to eq([[0, nil]])
      Delayed::Job.delete_all
      Delayed::Job.enqueue(job { raise "its own" }.new(1))
      worker.work_off(1)
      expect(Delayed::Job.pluck(:attempts)).to eq([1])
    end
  end

  describe "a job over which workers die" do
    def die =
      Delayed::Job
        .update_all(locked_at: Time.now.utc, locked_by: "host:#{Socket.gethostname} pid:999999999 began:1")
        .then { App::WorkerSettings.free_orphans }

    it "is taken up again, and set aside with its reason after the third" do
      run = App::PressOrder.new(book).place
      2.times { die }
      expect(Delayed::Job.pluck(:deaths, :locked_by)).to eq([[2, nil]])
      die
      expect(Delayed::Job.count).to eq(0)
      expect(run.reload).to have_attributes(
        state: "failed",
        reason: /Drawing sheets 1 to 6 ended the worker 3 times, so it is set aside/
      )
      expect(run.pieces.first.reason).to eq(run.reason)
    end

    it "is not taken from a worker that lives, nor left with another process of the same number" do
      Delayed::Job.enqueue(job { nil }.new(1))
      Delayed::Job.update_all(locked_at: Time.now.utc, locked_by: worker.name)
      App::WorkerSettings.free_orphans
      expect(Delayed::Job.pick(:locked_by)).to eq(worker.name)
      Delayed::Job.update_all(locked_by: worker.name.sub(/began:\d+/, "began:1"))
      App::WorkerSettings.free_orphans
      expect(Delayed::Job.pick(:locked_by)).to be_nil
    end
  end

  describe "turns" do
    it "are: looking before the index before imports before the press, and pieces of all runs side by side" do
      other = kept_book(scale: 500)
      [other, book].each { |one| App::PressOrder.new(one).place }
      App::Arrival.accept(Tempfile.new("x"), book_id: book.id, name: "a.geojson")
      order = Delayed::Job.order(:priority, :id).map { |one| one.payload_object }
      expect(order.first).to be_a(App::InspectArrivalJob)
      pieces = order.drop(1).map { |piece| App::PressPiece.find(piece.piece_id) }
      expect(pieces.first(3).map { |piece| [piece.press_run.book_id, piece.position] }).to eq(
        [[other.id, 0], [book.id, 0], [other.id, 1]]
      )
    end

    it "leave a file that takes long to look at to the slow worker, and say so" do
      collection = {
        "type" => "FeatureCollection",
        "features" => [
          {
            "type" => "Feature",
            "properties" => {},
            "geometry" => {
              "type" => "Point",
              "coordinates" => [-10.7, 58.8]
            }
          }
        ]
      }
      file = Tempfile.new("x").tap { |made| made.write(JSON.generate(collection)) && made.rewind }
      arrival = App::Arrival.accept(file, book_id: book.id, name: "a.geojson")
      slow = true
      allow_any_instance_of(App::InspectArrivalJob).to receive(:look).and_wrap_original do |look, *values|
        sleep 5 if slow
        look.call(*values)
      end
      stub_const("App::InspectArrivalJob::SECONDS", 0.2)
      worker(max_priority: App::Turn::QUICK).work_off(2)
      expect(arrival.reload).to have_attributes(state: "inspecting", reason: /takes longer to look at than 0.2 s/)
      expect(Delayed::Job.pluck(:priority)).to eq([App::Turn::IMPORT])
      slow = false
      Delayed::Worker.max_priority = nil
      worker.work_off(1)
      expect(arrival.reload).to have_attributes(state: "ready", reason: nil)
    end

    it "let the quick worker take what somebody waits for, and nothing else" do
      App::PressOrder.new(book, {"sheets" => "1"}).place
      App::Arrival.accept(Tempfile.new("x"), book_id: book.id, name: "a.geojson")
      worker(max_priority: App::Turn::QUICK).start
      expect(Delayed::Job.all.map { |one| one.payload_object.class }).to eq([App::PressPieceJob])
    end
  end

  describe "an index that takes long" do
    def change_index(settings) =
      send_json(
        :patch,
        "/api/books/#{book.id}",
        {patch: {index: settings}, label: "Index", revision: fresh.revision}
      )

    before do
      book
      stub_const("App::StepBudget::STEPS", 5)
      allow(App::StepBudget).to receive(:hold).and_wrap_original { |original, *_, &block| original.call(5, &block) }
    end

    def index_run = App::IndexRun.last

    it "is worked out by a job when it is asked what it would come to, with progress and answer" do
      send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: {scale: 1000}}})
      expect([last_response.status, answer["run"]]).to match([202, include("state" => "waiting")])
      worker.start
      ask("/api/books/#{book.id}/index/runs/#{index_run.id}")
      expect(answer).to include(
        "state" => "done",
        "answer" =>
          include(
            "count" =>
              fresh.answer(with: App::MergePatch.apply(fresh.document, {"index" => {"scale" => 1000}})).cells.length
          )
      )
      expect(fresh.index.rows.length).to eq(6)
    end

    it "changes the book in one go at the end, as one's own change" do
      before = fresh.index.rows
      change_index({scale: 1000})
      expect([last_response.status, fresh.document["index"]["scale"]]).to eq([202, 2500])
      worker.start
      expect([index_run.state, fresh.document["index"]["scale"], fresh.index.rows.length > 6]).to eq(
        ["done", 1000, true]
      )
      App::BookChanges.new(fresh).undo
      expect(fresh.index.rows).to eq(before)
      send_json(:post, "/api/books/#{book.id}/index/rebuild", {})
      worker.start
      expect([index_run.purpose, index_run.state]).to eq(%w[rebuild done])
    end

    it "is stopped at once and changes nothing then; a change of another in between is told" do
      change_index({scale: 1000})
      send_json(:post, "/api/books/#{book.id}/index/runs/#{index_run.id}/cancel", {})
      expect(answer["state"]).to eq("cancelled")
      worker.start
      expect(fresh.document["index"]["scale"]).to eq(2500)
      change_index({scale: 1000})
      App::BookChanges.new(fresh).apply({"title" => "Another"}, label: "x")
      worker.start
      expect([index_run.state, index_run.reason, fresh.document["index"]["scale"]]).to match(
        ["failed", /changed elsewhere/, 2500]
      )
    end

    it "ends in the middle when it is not wanted any more" do
      change_index({scale: 1000})
      stub_const("App::IndexRunProgress::EVERY_S", 0.0)
      steps = 0
      allow_any_instance_of(App::IndexRun).to receive(:wanted?) { (steps += 1) < 4 }
      worker.start
      expect([steps, fresh.document["index"]["scale"], Delayed::Job.count]).to eq([4, 2500, 0])
    end

    it "answers the later of two that met on their way" do
      begun =
        lambda do |scale, turn, session = "sessionA1"|
          post(
            "/api/books/#{book.id}/index/trial",
            JSON.generate({patch: {index: {scale: scale}}, turn: turn}),
            "CONTENT_TYPE" => "application/json",
            "HTTP_HOST" => "localhost",
            "HTTP_X_SESSION" => session
          )
          App::IndexRun.last
        end
      first, later, overtaken, other = begun[1000, 10], begun[2000, 30], begun[400, 20], begun[500, 5, "sessionB1"]
      expect([first, later, overtaken, other].map { |one| one.reload.state }).to eq(
        %w[cancelled waiting cancelled waiting]
      )
      worker.start
      expect([later, other].map { |one| one.reload.state }).to eq(%w[done done])
    end

    it "is not worked out any more when the page that asked was left" do
      send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: {scale: 1000}}})
      App::IndexRun.update_all(asked_at: Time.now.utc - 60)
      worker.start
      expect([index_run.state, index_run.reason, Delayed::Job.count]).to match(["cancelled", /Nobody asked/, 0])
      send_json(:post, "/api/books/#{book.id}/index/trial", {patch: {index: {scale: 1000}}})
      App::IndexRun.update_all(asked_at: Time.now.utc - 60)
      ask("/api/books/#{book.id}/index/runs/#{index_run.id}")
      worker.start
      expect(index_run.state).to eq("done")
    end

    it "says in words what cannot be generated" do
      change_index({scale: 1})
      worker.start if last_response.status == 202
      expect([answer["message"], index_run&.reason].compact.join).to match(/would make/)
    end
  end

  describe "what was left lying" do
    it "is taken up again, or told, where a kill came between row and job" do
      lost = App::Arrival.create!(book_id: book.id, name: "lost.geojson")
      half =
        App::Arrival.accept(
          StringIO.new("{}").tap { |io| io.define_singleton_method(:size) { 2 } },
          book_id: book.id,
          name: "half.geojson"
        )
      Delayed::Job.delete_all
      expect(App::Sweep.new.arrivals).to eq("2 files: taken up again that an end of the server had left.")
      expect(lost.reload).to have_attributes(state: "failed", reason: /lost\.geojson did not arrive whole/)
      worker.start
      expect(half.reload.state).to eq("failed")
      expect(App::Sweep.new.arrivals).to be_nil
    end

    it "is told when looking into a file fails again and again" do
      arrival = App::Arrival.accept(Tempfile.new("x"), book_id: book.id, name: "a.geojson")
      allow(TileLoom::Data::Inspection).to receive(:new).and_raise("broken")
      3.times { Delayed::Job.update_all(run_at: Time.now.utc) && worker.work_off(1) }
      expect(arrival.reload).to have_attributes(state: "failed", reason: /Looking into a\.geojson failed several times/)
    end

    it "is swept out once a day, wherever a worker runs, beside what is at work" do
      run = App::PressOrder.new(fresh, {"sheets" => "1"}).place
      run.finish("done", finished_at: Time.now.utc - 8 * 86_400)
      young, old = Array.new(2) { App::Arrival.create!(book_id: book.id, name: "a.geojson", state: "inspecting") }
      old.update_columns(updated_at: Time.now.utc - 2 * 86_400)
      2.times { App::SweepJob.see_to }
      jobs = App::WorkQueue.jobs(:sweep)
      expect(jobs.pluck(:run_at)).to match([be_within(60).of(Time.now.utc + 86_400)])
      stub_const("ENV", ENV.to_h.merge("KEEP_RUNS_DAYS" => "7"))
      jobs.update_all(run_at: Time.now.utc)
      expect { App::Worker.new(quiet: true).work_off }.to output(/1 run: deleted.*older than 7 days/).to_stdout
      expect(App::PressRun.exists?(run.id)).to be(false)
      expect([young, old].map { |arrival| arrival.reload.state }).to eq(%w[inspecting failed])
      expect(jobs.pluck(:run_at)).to match([be_within(60).of(Time.now.utc + 86_400)])
      # Two workers may have put one each at the same moment.
      App::WorkQueue.put(:sweep, nil, turn: App::Turn::SWEEP)
      jobs.update_all(run_at: Time.now.utc)
      App::Worker.new(quiet: true).work_off
      expect(jobs.pluck(:run_at)).to match([be_within(60).of(Time.now.utc + 86_400)])
    end

    it "is swept out: layers of no history, pages of ended runs, finished work, with numbers" do
      dams = App::Layer.find_by!(book_id: book.id, key: "dams")
      App::BookChanges.new(book).apply(
        {"layers" => book.document["layers"].reject { |layer| layer["id"] == "dams" }},
        label: "x"
      )
      expect(App::Sweep.new.layers).to be_nil
      App::Edit.delete_all
      expect(App::Sweep.new.layers).to eq("1 removed layer: with 20 features deleted, which no history names.")
      expect([App::Layer.exists?(dams.id), App::FeatureBatch.of(dams).count]).to eq([false, 0])
      run = App::PressOrder.new(fresh, {"sheets" => "all"}).place
      run.pieces.update_all(pages: "x")
      expect(App::Sweep.new.pages).to be_nil
      run.finish("failed")
      expect(App::Sweep.new.pages).to eq("1 piece: of ended runs emptied of its pages.")
      App::IndexRun.create!(
        book_id: book.id,
        purpose: "answer",
        state: "done",
        asked_at: Time.now.utc,
        updated_at: Time.now.utc - 7200
      )
      expect(App::Sweep.new.index_runs).to match(/1 finished piece of work on an index: forgotten/)
    end

    it "is swept out of the store: originals without an import, files of servers that are gone" do
      App::Sweep.new.originals
      App::Arrival.accept(StringIO.new("{}"), book_id: book.id, name: "a.geojson").turn("cancelled")
      folder = File.join(App::Originals.folder, App::Arrival.last.id.to_s)
      File.utime(Time.now - 3600, Time.now - 3600, folder)
      expect(App::Sweep.new.originals).to match(/1 original: removed that belong to no import/)
      expect(File.exist?(folder)).to be(false)
    end
  end

  it "sweeps files of no run" do
    App::Sweep.new.files
    path = File.join(App::Finished.folder, "999999/1.pdf")
    FileUtils.mkdir_p(File.dirname(path))
    File.write(path, "x")
    expect(App::Sweep.new.files).to be_nil
    File.utime(Time.now - 7200, Time.now - 7200, path)
    expect(App::Sweep.new.files).to match(/files?: of no run deleted/)
    expect(File.exist?(path)).to be(false)
  end

  it "deletes runs with their files when that is asked for" do
    run = App::PressOrder.new(book, {"sheets" => "1"}).place
    worker.start
    path = App::Finished.path(run.reload.files.first.place)
    expect(File.exist?(path)).to be(true)
    delete("/api/books/#{book.id}/runs/#{run.id}", {}, "HTTP_HOST" => "localhost")
    expect([last_response.status, answer, File.exist?(path), App::PressPiece.count]).to eq([200, [], false, 0])
  end
end
