# frozen_string_literal: true

require "app_helper"
require "zip"

# Runs of all forms: their files, what is missing, what becomes of them.
RSpec.describe App::PressOrder do
  before do
    empty_database
    stub_const("App::PressPiece::SHEETS", 2)
    stub_const("App::PressPiece::FILES", 2)
  end

  let(:book) { kept_book }
  let(:base) { "/api/books/#{book.id}/runs" }

  def order(given, **more)
    send_json(:post, base, {order: given, **more})
    App::PressRun.last
  end

  def work = Delayed::Worker.new(quiet: true, exit_on_complete: true).start

  def printed(given, **more)
    run = order(given, **more)
    work
    run.reload
  end

  def bytes_of(file) = App::Finished.open(file.place).then { |io| io.read.tap { io.close } }

  forms = {
    "one PDF, tagged, with its data" => {
      "form" => {
        "kind" => "pdf_book",
        "pdf" => {
          "tagged" => true,
          "attach_book" => true,
          "attach_data" => true
        }
      }
    },
    "PDF/X-4" => {
      "form" => {
        "kind" => "pdf_book",
        "pdf" => {
          "standard" => "pdf_x_4"
        }
      }
    },
    "one PDF per sheet" => {
      "form" => {
        "kind" => "pdf_sheets"
      },
      "sheets" => "1-3",
      "file_name" => "{{ sheet.number | padded: 3 }} {{ sheet.name }}"
    },
    "images" => {
      "form" => {
        "kind" => "images",
        "placed" => true
      },
      "sheets" => "1-3",
      "ppi" => 40
    },
    "GeoTIFF" => {
      "form" => {
        "kind" => "images",
        "format" => "geotiff",
        "shows" => "map frame"
      },
      "sheets" => "2",
      "ppi" => 40
    },
    "SVG" => {
      "form" => {
        "kind" => "svg_sheets",
        "text" => "outlines"
      },
      "sheets" => "1-2"
    },
    "MBTiles" => {
      "form" => {
        "kind" => "ground",
        "scale" => 25_000
      },
      "ppi" => 50
    },
    "imposed" => {
      "form" => {
        "kind" => "imposed",
        "lay" => "booklet"
      }
    }
  }

  # bin/loom's way: the exported file of the book, in the core alone.
  forms.each do |name, given|
    it "makes #{name} of the database, and the core the same bytes of the exported file" do
      book.put("date" => "2026-04-01")
      run = printed(given)
      expect([run.state, run.reason]).to eq(["done", nil])
      ask("/api/books/#{book.id}/file")
      Dir.mktmpdir do |folder|
        File.write("#{folder}/book.json", last_response.body)
        folio = TileLoom::Document::Folio.read("#{folder}/book.json")
        press =
          TileLoom::Output::Press.new(
            book: folio.document,
            source: folio.source,
            order: TileLoom::Output::Order.new(given)
          ).check
        made = hand_on(press, folder).to_h { |path| [File.basename(path), File.binread(path)] }
        expect(run.files.map(&:name)).to eq(made.keys)
        run.files.each { |file| expect([file.name, bytes_of(file) == made[file.name]]).to eq([file.name, true]) }
        expect(run.files.map { |file| [file.bytes, file.sha256] }).to eq(
          made.values.map { |bytes| [bytes.bytesize, Digest::SHA256.hexdigest(bytes)] }
        )
      end
    end
  end

  it "says what an order would come to, before anything is made" do
    send_json(:post, "/api/books/#{book.id}/plan", {order: {"form" => {"kind" => "images"}, "sheets" => "1-2"}})
    expect(answer).to include("files" => 2, "sheets" => 2)
    expect(answer["pixels"]).to eq([4961, 3508])
    expect(App::PressRun.count + Delayed::Job.count).to eq(0)
    send_json(:post, "/api/books/#{book.id}/plan", {order: {"form" => {"kind" => "images"}, "ppi" => 5}})
    expect([last_response.status, answer["path"]]).to eq([422, "/ppi"])
  end

  it "streams several files as one zip, each as it was made" do
    run = printed({"form" => {"kind" => "pdf_sheets"}, "sheets" => "1-3"}, title: "Field sheets")
    ask("#{base}/#{run.id}/file")
    expect(last_response.headers["content-disposition"]).to include("Field sheets-#{run.id}.zip")
    names = []
    Zip::File.open_buffer(StringIO.new(last_response.body)) do |zip|
      zip.each do |entry|
        names << entry.name
        bytes = entry.get_input_stream.read
        expect(Digest::SHA256.hexdigest(bytes)).to eq(run.files.find_by(name: entry.name).sha256)
      end
    end
    expect(names).to eq(run.files.map(&:name))
    run.files.last.update!(name: "Moß.pdf")
    ask("#{base}/#{run.id}/files/#{run.files.last.id}")
    # RFC 6266, 4.3.
    expect(last_response.headers["content-disposition"]).to include("filename*=UTF-8''Mo%C3%9F.pdf")
    expect(last_response.body.bytesize).to eq(run.files.last.bytes)
  end

  # A text that cannot be set on the sheets of one column, and is mended afterwards.
  describe "a sheet that cannot be drawn" do
    let(:text) do
      {
        "kind" => "text",
        "id" => "fault",
        "place" => {
          "left_mm" => 0,
          "top_mm" => 0,
          "width_mm" => 20,
          "height_mm" => 5
        },
        "text" => "{% if sheet.column == 'B' %}{{ sheet.fraction | decimals: 2 }}{% endif %}"
      }
    end
    let(:book) do
      kept_book.tap do |made|
        layout = made.document["layout"]
        made.put("layout" => layout.merge("elements" => layout["elements"] + [text]))
      end
    end

    def mend
      fresh = App::Book.find(book.id)
      App::BookChanges.new(fresh).apply(
        {
          "layout" =>
            fresh.document["layout"].merge(
              "elements" => fresh.document["layout"]["elements"].reject { |element| element["id"] == "fault" }
            )
        },
        label: "Mend"
      )
    end

    it "keeps no password where sheets are missing, and asks for one again to make them" do
      run = order({"form" => {"kind" => "pdf_book", "pdf" => {"protected" => true}}}, password: "moss")
      work
      expect(run.reload).to have_attributes(state: "incomplete", secrets: nil)
      mend
      send_json(:post, "#{base}/#{run.id}/missing", {})
      expect([last_response.status, answer["message"]]).to match([422, /give a password/])
      send_json(:post, "#{base}/#{run.id}/missing", {password: "heath"})
      expect(run.reload.secrets).to include("heath")
      work
      expect(run.reload).to have_attributes(state: "done", secrets: nil)
      path = App::Finished.path(run.files.first.place)
      expect(outside("qpdf", "--password=heath", "--show-encryption", path)).to include("AESv3")
    end

    %w[pdf_book pdf_sheets].each do |kind|
      it "is named, the others of #{kind} are made, and the missing ones complete the run" do
        run = printed({"form" => {"kind" => kind}})
        lacking = run.cells.select { |row| row["column"] == 1 }.map { |row| row["name"] }
        expect([run.state, run.missing.length]).to eq(["incomplete", lacking.length])
        expect(run.reason).to match(
          /\A#{lacking.length} of #{run.total} sheets are missing: #{lacking.join(", ")} \(.*decimals.*needs a number/
        )
        made = run.files.map(&:name)
        expect(made.length).to eq((kind == "pdf_book") ? 0 : run.total - lacking.length)
        mend
        send_json(:post, "#{base}/#{run.id}/missing", {})
        expect(answer["state"]).to eq("waiting")
        work
        expect([run.reload.state, run.missing]).to eq(["done", {}])
        expect(run.later["revision"]).to be > run.revision
        if kind == "pdf_book"
          pages =
            outside("pdfinfo", "-f", "1", "-l", "99", App::Finished.path(run.files.first.place)).scan(/^Page +\d+ size/)
          expect(pages.length).to eq(run.total)
          labels =
            PdfObjects.new(App::Finished.path(run.files.first.place)).bookmarks.map { |title, _| title.split.last }
          expect(labels).to eq(run.cells.sort_by { |row| row["number"] }.map { |row| row["name"] })
        else
          expect(run.files.count).to eq(run.total)
        end
      end
    end
  end

  it "repeats a run over the book as it is now, renames it, and puts it before others that wait" do
    run = printed({"form" => {"kind" => "pdf_sheets"}, "sheets" => "1"}, title: "web")
    send_json(:patch, "/api/books/#{book.id}", {patch: {title: "Another moss"}, label: "Title"})
    send_json(:post, "#{base}/#{run.id}/repeat", {})
    again = App::PressRun.last
    expect([again.title, again.names]).to eq(["web", {"1" => "Another moss_A1.pdf"}])
    send_json(:patch, "#{base}/#{again.id}", {title: "web, again"})
    expect(again.reload.title).to eq("web, again")
    third = order({"sheets" => "2"})
    ask(base)
    expect(answer.to_h { |row| [row["id"], row["place"]] }).to include(again.id => 1, third.id => 2, run.id => nil)
    send_json(:post, "#{base}/#{third.id}/first", {})
    expect(answer.to_h { |row| [row["id"], row["place"]] }).to include(third.id => 1, again.id => 2)
  end

  it "says who asked, keeps what was told, and forgets passwords when it ends" do
    run =
      order({"form" => {"kind" => "pdf_book", "pdf" => {"protected" => true}}, "sheets" => "1"}, password: "moss")
    expect(run.secrets).to include("moss")
    work
    expect(run.reload).to have_attributes(state: "done", secrets: nil, asked_from: "127.0.0.1")
    path = App::Finished.path(run.files.first.place)
    expect(outside("qpdf", "--password=moss", "--show-encryption", path)).to include("AESv3")
    ask(base)
    expect(last_response.body).not_to include("moss\"}")
    send_json(:post, "#{base}/#{run.id}/repeat", {})
    expect([last_response.status, answer["message"]]).to match([422, /Passwords are not saved/])
    expect {
      App::PressOrder.new(book, {"form" => {"kind" => "pdf_book", "pdf" => {"protected" => true}}}).place
    }.to raise_error(TileLoom::Refusal, /give a password/)
  end

  it "deletes finished runs when their days are over, as the operator says" do
    run = printed({"sheets" => "1"})
    path = App::Finished.path(run.files.first.place)
    expect(App::Sweep.new.expired).to be_nil
    allow(App::PressRun).to receive(:kept_days).and_return(7)
    expect(App::Sweep.new.expired).to be_nil
    run.update_columns(finished_at: Time.now.utc - 8 * 86_400)
    expect(App::Sweep.new.expired).to eq("1 run: deleted with its files, older than 7 days.")
    expect([App::PressRun.count, File.exist?(path)]).to eq([0, false])
  end

  describe "printing" do
    around { |example| Dir.mktmpdir { |folder| @printer = folder and example.run } }

    # The stand-in that ships, on a port of its own.
    def with_printer
      require "puma"
      require "puma/server"
      require_relative "../../stand_ins/printer"
      server = Puma::Server.new(@device = StandIns::Printer.new(@printer))
      socket = server.add_tcp_listener("127.0.0.1", 0)
      server.run
      stub_const("ENV", ENV.to_h.merge("PRINTER" => "ipp://127.0.0.1:#{socket.addr[1]}/ipp/print"))
      yield
    ensure
      server&.stop(true)
    end

    it "sends PDFs to the printer by IPP, and says what waits there when it is out of paper" do
      stub_const("App::PrintRunJob::TRIES", 1)
      with_printer do
        run = printed({"form" => {"kind" => "pdf_sheets"}, "sheets" => "1-2"})
        send_json(:post, "#{base}/#{run.id}/print", {})
        work
        expect(run.reload.printing).to eq("2 files printed")
        expect(Dir.children("#{@printer}/out")).to match_array(["00001 Test moss_A1.pdf", "00002 Test moss_B1.pdf"])
        expect(Digest::SHA256.file("#{@printer}/out/00001 Test moss_A1.pdf").hexdigest).to eq(run.files.first.sha256)
        FileUtils.touch("#{@printer}/out-of-paper")
        send_json(:post, "#{base}/#{run.id}/print", {})
        work
        expect(run.reload.printing).to eq("2 of 2 files wait at the printer (it is out of paper)")
        FileUtils.rm("#{@printer}/out-of-paper")
        FileUtils.cp("#{@printer}/out/00001 Test moss_A1.pdf", "#{@printer}/in/by hand.pdf")
        @device.turn
        expect(Dir.children("#{@printer}/out").length).to eq(5)
      end
    end

    it "is refused without a printer, and a printer that is away is told" do
      run = printed({"sheets" => "1"})
      stub_const("ENV", ENV.to_h.merge("PRINTER" => ""))
      send_json(:post, "#{base}/#{run.id}/print", {})
      expect(answer["message"]).to match(/There is no printer/)
      stub_const("ENV", ENV.to_h.merge("PRINTER" => "ipp://127.0.0.1:1/ipp/print"))
      send_json(:post, "#{base}/#{run.id}/print", {})
      work
      expect(run.reload.printing).to eq("The printer at ipp://127.0.0.1:1/ipp/print does not answer.")
    end
  end

  # A device that answers without end, drips, fails, or says something else.
  describe "a printer that does harm" do
    def printed(answer)
      server = Puma::Server.new(answer, nil, {log_writer: Puma::LogWriter.null})
      port = server.add_tcp_listener("127.0.0.1", 0).addr[1]
      server.run
      file = Tempfile.new("a.pdf").tap { |made| made.write("%PDF-1.7") && made.flush }
      App::Printer.new("ipp://127.0.0.1:#{port}/ipp/print").print(file.path, "a")
    ensure
      server&.stop(true)
    end

    it "holds no worker and fills no memory" do
      endless = Enumerator.new { |parts| loop { parts << "x" * 65_536 } }
      expect { printed(->(_) { [200, {"content-type" => "application/ipp"}, endless] }) }.to invalid(/cannot be read/)
      stub_const("App::Printer::ANSWER_S", 0.5)
      drip = Enumerator.new { |parts| 40.times { parts << "x" && sleep(0.1) } }
      expect { printed(->(_) { [200, {}, drip] }) }.to invalid(/did not answer in time/)
    end

    it "is not taken to have printed where it failed" do
      done = App::Ipp.write(App::Ipp::OK, 1, {App::Ipp::JOB => {"job-id" => [:integer, 7]}})
      expect(printed(->(_) { [200, {}, [done]] })).to eq(7)
      expect { printed(->(_) { [500, {}, [done]] }) }.to invalid(/failed to receive the file \(HTTP status 500\)/)
      expect { printed(->(_) { [200, {}, ["hello"]] }) }.to invalid(/cannot be read/)
    end
  end

  describe "the palette" do
    def put(**body) = send_json(:post, "/api/books/#{book.id}/palette", body)

    it "gives a colour its values by the profile; other values change how the book is drawn; undo brings both back" do
      colour = App::Book.find(book.id).document.to_json[/"colour":"(#\h{6})"/, 1]
      put(colour: colour)
      ink = App::Book.find(book.id).document["palette"].first
      expect(ink["name"]).to eq("Ink 1")
      put(colour: ink["colour"], ink: {name: "Moss green", cmyk: [60, 0, 100, 0], spot: true})
      fresh = App::Book.find(book.id).document
      look = fresh["palette"].first["colour"]
      # Yellowish green on coated paper: more green than red, hardly any blue.
      red, green, blue = look.scan(/\h\h/).map(&:hex)
      expect([green > red, red > blue]).to eq([true, true])
      expect(fresh.except("palette").to_json).to include(look)
      expect(fresh.except("palette").to_json).not_to match(/#{colour}|#{ink["colour"]}/i)
      put(colour: look, ink: nil)
      expect(App::Book.find(book.id).document["palette"]).to be_nil
      App::BookChanges.new(App::Book.find(book.id)).undo
      App::BookChanges.new(App::Book.find(book.id)).undo
      expect(App::Book.find(book.id).document["palette"].first["colour"]).to eq(ink["colour"])
    end

    it "refuses an ink that is gone, and two of one name" do
      put(colour: "#123456", ink: {name: "x", cmyk: [0, 0, 0, 0]})
      expect(answer["message"]).to match(/no longer has the colour #123456/)
      put(colour: "#111111")
      put(colour: "#222222")
      second = App::Book.find(book.id).document["palette"].last["colour"]
      put(colour: second, ink: {name: "Ink 1", cmyk: [1, 1, 1, 1]})
      expect(answer["message"]).to match(/already an ink called “Ink 1”/)
    end

    it "takes a profile of a press, and refuses one of a screen" do
      folder = TileLoom::Artwork::IccProfile::FOLDER
      post(
        "/api/books/#{book.id}/profiles",
        {file: Rack::Test::UploadedFile.new("#{folder}/coated.icc")},
        "HTTP_HOST" => "localhost"
      )
      expect(answer["id"]).to eq("coated-2")
      post(
        "/api/books/#{book.id}/profiles",
        {file: Rack::Test::UploadedFile.new("#{folder}/srgb.icc")},
        "HTTP_HOST" => "localhost"
      )
      expect(answer["message"]).to match(/not the profile of a printing press/)
      damaged = File.binread("#{folder}/coated.icc").tap { |bytes| bytes[200, 60_000] = "\xff".b * 60_000 }
      Tempfile.create(%w[damaged .icc], binmode: true) do |file|
        file.write(damaged)
        file.flush
        post(
          "/api/books/#{book.id}/profiles",
          {file: Rack::Test::UploadedFile.new(file.path)},
          "HTTP_HOST" => "localhost"
        )
        expect(answer["message"]).to match(/is not a colour profile/)
      end
      run =
        printed(
          {
            "sheets" => "1",
            "form" => {
              "kind" => "pdf_book",
              "pdf" => {
                "colours" => "press",
                "profile" => "coated-2"
              }
            }
          }
        )
      expect(run.state).to eq("done")
    end
  end
end
