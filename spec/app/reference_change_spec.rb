# frozen_string_literal: true

require "app_helper"

RSpec.describe App::ReferenceChange do
  before { empty_database }

  let(:book) { kept_book }

  def work = Delayed::Worker.new(quiet: true, exit_on_complete: true).start

  def fresh = App::Book.find(book.id)

  def change_to(definition)
    send_json(:post, "/api/books/#{book.id}/reference", {definition: definition})
    work
  end

  def corners = fresh.index.cells.map { |cell| cell.to_core.ground.corners }

  def shapes(key) =
    fresh.source.features(key, nil).map { |feature| TileLoom::Geometry::Wkb.each_run(feature.wkb).first[1] }

  # From UTM zone 29 on ETRS89 to the British grid by the seven parameters that Ordnance Survey publishes ("A guide to
  # coordinate systems in Great Britain", section 6.6; EPSG 1314), step by step, by PROJ's own program.
  let(:helmert) do
    %w[
      +proj=pipeline
      +step
      +inv
      +proj=utm
      +zone=29
      +ellps=GRS80
      +step
      +proj=push
      +v_3
      +step
      +proj=cart
      +ellps=GRS80
      +step
      +inv
      +proj=helmert
      +x=446.448
      +y=-125.157
      +z=542.06
      +rx=0.15
      +ry=0.247
      +rz=0.842
      +s=-20.489
      +convention=position_vector
      +step
      +inv
      +proj=cart
      +ellps=airy
      +step
      +proj=pop
      +v_3
      +step
      +proj=tmerc
      +lat_0=49
      +lon_0=-2
      +k=0.9996012717
      +x_0=400000
      +y_0=-100000
      +ellps=airy
    ]
  end

  def british(places)
    outside("cct", "-d", "4", "-z", "0", *helmert, input: places.map { |x, y| format("%.6f %.6f\n", x, y) }.join)
      .lines
      .map { |row| row.split.first(2).map(&:to_f) }
  end

  it "takes all features there, the cells with them, and back with undo" do
    before = [shapes("dams"), corners, fresh.document]
    change_to("EPSG:27700")
    expect(fresh.reference).to eq("EPSG:27700")
    theirs = british(before[0])
    shapes("dams").zip(theirs) { |ours, (x, y)| expect(Math.hypot(ours[0] - x, ours[1] - y)).to be < 0.001 }
    middles = ->(all) do
      all.map { |ring| [ring.each_slice(2).sum { |x, _| x } / 4, ring.each_slice(2).sum { |_, y| y } / 4] }
    end
    middles[corners].zip(british(middles[before[1]])) do |ours, (x, y)|
      expect(Math.hypot(ours[0] - x, ours[1] - y)).to be < 0.001
    end
    expect(fresh.index.cells.pluck(:name)).to eq(book.index.cells.pluck(:name))
    expect(App::Layer.find_by!(key: "dams").extent.to_a).not_to eq([402_050.0, 6_528_500.0, 403_950.0, 6_528_500.0])
    after = [shapes("dams"), corners, fresh.document]
    send_json(:post, "/api/books/#{book.id}/undo", {})
    expect(answer["reprojection"]).to include("total" => 21)
    work
    expect([shapes("dams"), corners, fresh.document]).to eq(before)
    send_json(:post, "/api/books/#{book.id}/redo", {})
    work
    expect([shapes("dams"), corners, fresh.document]).to eq(after)
  end

  it "takes a drawn study area along" do
    App::BookChanges.new(book).apply(
      {
        "index" => {
          "area" => [{"polygon" => [[402_000, 6_528_000], [403_000, 6_528_000], [403_000, 6_528_500]]}]
        }
      },
      label: "Draw"
    )
    area = fresh.core.study_area(fresh.source).ground_m2(fresh.core.crs)
    change_to("EPSG:3035")
    expect(fresh.core.study_area(fresh.source).ground_m2(fresh.core.crs)).to be_within(area * 1e-6).of(area)
    expect(fresh.index.cells.count).to be > 0
  end

  it "refuses what cannot be, and changes nothing" do
    change_to("EPSG:4326")
    expect([last_response.status, answer["message"]]).to match([422, /is in degrees/])
    change_to("EPSG:25829")
    expect(answer["message"]).to match(/drawn in ETRS89 .* already/)
    change_to("+proj=gnom +lat_0=-58 +lon_0=170 +ellps=GRS80 +units=m")
    expect([fresh.reference, App::Reprojection.last.state]).to eq(%w[EPSG:25829 failed])
    expect(App::Reprojection.last.reason).to match(/Feature 1 of Area is outside what/)
    expect(App::FeatureBlock.distinct.pluck(:edition)).to eq([1])
    expect { App::BookChanges.new(book.reload).apply({"crs" => "EPSG:27700"}, label: "x") }.to invalid(
      /choose another in the statement/
    )
  end

  it "lets nothing else change meanwhile, and leaves all as it was when stopped" do
    before = [shapes("dams"), fresh.document]
    send_json(:post, "/api/books/#{book.id}/reference", {definition: "EPSG:27700"})
    expect(answer["reprojection"]).to include("name" => "OSGB36 / British National Grid", "done" => 0, "total" => 21)
    send_json(:patch, "/api/books/#{book.id}", {label: "x", patch: {title: "y"}})
    expect(answer["message"]).to match(/is being changed; wait for it, or stop it/)
    send_json(:post, "/api/books/#{book.id}/reference", {definition: "EPSG:3035"})
    expect(last_response.status).to eq(422)
    send_json(:post, "/api/books/#{book.id}/reference/stop", {})
    work
    expect([shapes("dams"), fresh.document]).to eq(before)
  end

  describe "a look at a reference" do
    def look(body) = send_json(:post, "/api/books/#{book.id}/reference/look", body).then { answer }

    it "says what it does to lengths, areas and north here, and draws the graticule" do
      found = look({definition: "EPSG:3857"})
      expect(found["words"]).to match(
        [/Grid distances are .* m per km long/, /Areas print .* % too large/, /Grid north is true north/]
      )
      expect(found["warnings"]).to include(/off by more than 1 in 1,000/)
      expect(found["picture"]).to start_with("<svg").and include("°")
      expect(found["parameters"].map { |parameter| parameter["name"] }).to include("False easting")
    end

    it "tunes one, keeps it under a name, and draws the book in it" do
      found =
        look(
          {
            definition: "EPSG:25829",
            tune: {
              values: {
                "Longitude of natural origin" => -10.7,
                "Scale factor at natural origin" => 1
              },
              unit: "m",
              name: "Moss grid"
            }
          }
        )
      expect(found).to include("name" => "Moss grid", "code" => nil)
      expect(found["words"].first).to match(/true|0\.0\d m/)
      send_json(:post, "/api/references/kept", {name: "Moss grid", definition: found["definition"]})
      expect(answer.map { |row| row["name"] }).to eq(["Moss grid"])
      change_to(found["definition"])
      expect(TileLoom::Crs::System.find(fresh.reference).name).to eq("Moss grid")
      ask("/api/books/#{book.id}/sheets/1.svg")
      expect(last_response.status).to eq(200)
    end

    it "warns of a datum without an accurate way" do
      rough = look({definition: "+proj=utm +zone=29 +ellps=clrk66"})
      expect(rough["warnings"]).to include(/There is no accurate transformation from/)
    end

    it "says what is wrong with a definition, and which parameter does not do" do
      expect(look({definition: "PROJCRS[\"x\""})["message"]).to match(/is not a CRS that PROJ knows/)
      expect(look({definition: "EPSG:25829", tune: {values: {"Latitude of natural origin" => 95}}})).to include(
        "message" => /from −90 to 90/,
        "path" => "/values/Latitude of natural origin"
      )
      send_json(:post, "/api/references/kept", {name: " ", definition: "EPSG:25829"})
      expect(answer["message"]).to match(/Give the reference a name/)
    end

    it "offers references for the ground of the book, with reasons" do
      ask("/api/books/#{book.id}/references")
      expect(answer.map { |entry| entry["code"] }).to include("EPSG:25829")
      expect(answer.map { |entry| entry["reason"] }).to all(match(/./))
    end
  end

  # Between ED 50 and WGS 84 the register has many; the accuracies are its own.
  describe "transformations between datums" do
    let(:book) { kept_book }

    before do
      change_to("EPSG:23030")
      App::Edit.delete_all
    end

    def shifts = ask("/api/books/#{book.id}/operations").then { answer }

    def choose(shift, name)
      send_json(:post, "/api/books/#{book.id}/operations", {datums: shift["datums"], name: name})
      work
    end

    it "are told by name and by what they are made for, and another moves the layers and comes back with undo" do
      shift = shifts.find { |found| found["layers"].any? }
      # The ground lies west of all that the register's are made for, so that none of their accuracies holds there.
      expect(shift).to include("layers" => %w[Area Dams], "accuracy_m" => nil, "area" => "Norway", "name" => /ED50/)
      expect(shift["candidates"].last).to include("name" => /Ballpark/)
      other = shift["candidates"].find { |candidate| candidate["name"] != shift["name"] }
      before = [shapes("dams"), fresh.document, corners]
      choose(shift, other["name"])
      expect(last_response.status).to eq(202)
      expect(fresh.document["operations"]).to eq([{"datums" => shift["datums"], "name" => other["name"]}])
      moved = shapes("dams").zip(before[0]).map { |(x, y), (u, v)| Math.hypot(x - u, y - v) }
      expect([moved.min, moved.max]).to match([be > 0.1, be < 200])
      expect([corners, shifts.find { |found| found["datums"] == shift["datums"] }["name"]]).to eq(
        [before[2], other["name"]]
      )
      send_json(:post, "/api/books/#{book.id}/undo", {})
      work
      expect([shapes("dams"), fresh.document, corners]).to eq(before)
    end

    it "are refused where they are not for the pair, or by a change of the document" do
      shift = shifts.first
      choose(shift, "NAD27 to NAD83 (1)")
      expect([last_response.status, answer["message"]]).to match([422, /is not a transformation between/])
      send_json(
        :patch,
        "/api/books/#{book.id}",
        {patch: {operations: [{datums: shift["datums"], name: "x"}]}, label: "x", revision: book.reload.revision}
      )
      expect(answer["message"]).to match(/is changed on Ground/)
    end
  end
end
