# frozen_string_literal: true

RSpec.describe TileLoom::View::Norths do
  include GridViews

  model = TileLoom::Crs::MagneticModel

  describe "the magnetic model" do
    # Test values published with WMM2025 (WMM2025_TestValues, NOAA NCEI), as the npm package geomagnetism 0.2.0
    # carries them: decimal year, height km, latitude, longitude; north, east, down in nT; declination in degrees.
    values = <<~TABLE.lines.map { |row| row.split.map(&:to_f) }
      2025.0 65  43   93 24299.852822   210.517066  50037.923998   0.50
      2025.0 51 -33  109 21737.778822 -2090.274098 -52710.003920  -5.49
      2025.0 39 -59   -8 14358.095523 -4049.107540 -24389.086374 -15.75
      2025.0  3 -50 -103 19526.532799 10362.990980 -31437.562789  27.96
      2025.0 94 -29 -110 23275.471080  6559.046509 -19063.605287  15.74
      2028.5 28  54 -120 14735.145798  4066.959949  52393.678137  15.43
      2028.5 68 -58  156  6944.959164  6159.591995 -62264.415929  41.57
      2028.5 55  86   70   901.741754  2192.139033  55926.154052  67.64
      2029.0 50  87 -154   257.877420  -869.484879  55992.308183 -73.48
      2029.5 18   9 -172 30520.999126  4966.941695   8779.472279   9.24
      2029.5 77 -18  138 31751.497580  2472.257962 -34817.395113   4.45
    TABLE

    values.each do |year, height, lat, lon, north, east, down, declination|
      it "gives the published field at #{lat}°, #{lon}° in #{year}" do
        field = model.wmm.at(lon, lat, year, height_km: height)
        expect([field.north, field.east, field.down]).to match(
          [north, east, down].map { |value| be_within(0.001).of(value) }
        )
        expect(field.declination_deg).to be_within(0.0051).of(declination)
      end
    end

    it "gives the change in a year, as a year makes it" do
      now, then_ = [2026.0, 2027.0].map { |year| model.wmm.at(-10.7, 58.9, year).declination_deg }
      expect(model.wmm.at(-10.7, 58.9, 2026.5).declination_change_deg).to be_within(1e-4).of(then_ - now)
    end

    it "answers for its five years alone, and says so" do
      expect { model.wmm.at(0, 50, Date.new(2019, 5, 1)) }.to raise_error(
        TileLoom::Refusal,
        /known from 2025 to 2029 .*dated 2019-05-01/
      )
      expect { model.wmm.at(0, 50, Date.new(2029, 12, 31)) }.not_to raise_error
    end
  end

  # GDA Technical Manual, Flinders Peak in MGA94 zone 55: convergence 1°35′03.65″ in size, point scale 1.000 230 56;
  # west of the central meridian in the south, grid north lies east of true north there.
  it "has the convergence and point scale of the GDA manual" do
    sheet = view(reference: "EPSG:28355", centre: [273_741.297, 5_796_489.777])
    norths = described_class.new(sheet, nil)
    expect(norths.convergence_deg.abs).to be_within(0.01 / 3600).of(1 + 35 / 60.0 + 3.65 / 3600)
    expect(norths.convergence_deg).to be > 0
    expect(sheet.factors.point_scale).to be_within(1e-8).of(1.00023056)
    expect([norths.convergence_deg, -0.26, 0.004, nil].map { |angle| described_class.words(angle) }).to eq(
      ["1°35′ E", "0°16′ W", "0°00′", ""]
    )
  end

  it "adds up on the page, also of a turned frame: true, grid and magnetic north" do
    sheet = view(rotation: 12.0)
    norths = described_class.new(sheet, Date.new(2026, 4, 1))
    expect(norths.grid_on_page).to eq(12.0)
    # A step along the meridian on the ground, seen on the page.
    lon, lat = sheet.centre_lon_lat
    from, to = [0, 1e-4].map { |step| sheet.to_page(sheet.to_geographic.inverse([lon, lat + step])) }
    expect(norths.true_on_page).to be_within(1e-4).of(Math.atan2(to[0] - from[0], from[1] - to[1]) * 180 / Math::PI)
    expect(norths.magnetic_on_page).to be_within(1e-9).of(norths.true_on_page + norths.declination_deg)
    expect(norths.grid_magnetic_deg).to be_within(1e-9).of(norths.magnetic_on_page - norths.grid_on_page)
  end

  it "knows no needle without a date, and says why" do
    norths = described_class.new(view, nil)
    expect([norths.declination_deg, norths.magnetic_on_page, norths.grid_magnetic_deg]).to eq([nil, nil, nil])
    expect(norths.trouble).to match(/needs a date/)
    expect(described_class.new(view, Date.new(2040, 1, 1)).trouble).to match(/2025 to 2029/)
  end

  describe "on a sheet" do
    def sheet_with(element, date: "2026-04-01", text: nil)
      settings = small_settings.merge("date" => date)
      settings["layout"] = settings["layout"].merge(
        "elements" => [
          settings["layout"]["elements"].find { |known| known["kind"] == "map_frame" },
          element,
          *(
            text &&
              [
                {
                  "kind" => "text",
                  "id" => "live",
                  "place" => {
                    "left_mm" => 0,
                    "top_mm" => 0,
                    "width_mm" => 90,
                    "height_mm" => 20
                  },
                  "text" => text
                }
              ]
          )
        ]
      )
      book = TileLoom::Document::Book.new(settings)
      source = TileLoom::Data::MemorySource.new("area" => [rectangle(402_000, 6_528_000, 402_500, 6_528_400)])
      cells = book.cells(source)
      TileLoom::Compose::SheetComposer.new(book: book, source: source, cell: cells.first, count: cells.length)
    end

    def flat(nodes) = nodes.flat_map { |node| node.is_a?(TileLoom::Scene::Group) ? flat(node.children) : node }

    def texts(nodes) = flat(nodes).grep(TileLoom::Scene::Text).map(&:string)

    place = {"left_mm" => 0, "top_mm" => 0, "width_mm" => 40, "height_mm" => 50}

    it "are a diagram of three arrows with their angles, in words" do
      sheet = sheet_with({"kind" => "north_diagram", "id" => "norths", "place" => place})
      found = texts(sheet.drawing.nodes)
      expect(found).to include(
        "GN",
        "MN",
        a_string_matching(/\AConvergence \d°\d\d′ [EW]\z/),
        a_string_matching(/\ADeclination \d+°\d\d′ [EW] \(April 2026\)\z/)
      )
      expect(
        texts(
          sheet_with(
            {"kind" => "north_diagram", "id" => "norths", "place" => place},
            date: "2035-01-01"
          ).drawing.nodes
        )
      ).to include("Magnetic north unavailable")
    end

    it "are live text, with the references of the middle" do
      sheet =
        sheet_with(
          {"kind" => "north_diagram", "id" => "norths", "place" => place},
          text: "{{ sheet.declination }}|{{ sheet.grid_magnetic }}|{{ sheet.zone }}|{{ sheet.square }}|{{ sheet.mgrs }}"
        )
      found = texts(sheet.drawing.nodes).find { |string| string.include?("|") }.split("|")
      lon, lat = sheet.view.centre_lon_lat
      wanted = outside("GeoConvert", "-m", "-p", "0", input: "#{lat} #{lon}\n").strip
      expect(found[2..]).to eq([wanted[0, 3], wanted[3, 2], wanted])
      expect(found[0]).to match(/\A\d+°\d\d′ [EW]\z/)
    end
  end
end
