# frozen_string_literal: true

# Programs of other makers, as independent checks: GeographicLib's tools, poppler, qpdf, GDAL.
module Outside
  def outside(*command, input: "", chdir: Dir.pwd)
    out, err, status = Open3.capture3(*command, stdin_data: input, chdir: chdir)
    raise "#{command.join(" ")}: #{err}" unless status.success?
    out
  end

  # Geodesic length in metres on WGS84's ellipsoid or another: GeographicLib, Karney 2013.
  def geodesic_m(lon1, lat1, lon2, lat2, ellipsoid: [6_378_137, "1/298.257222101"])
    outside("GeodSolve", "-i", "-p", "6", "-e", *ellipsoid.map(&:to_s), input: "#{lat1} #{lon1} #{lat2} #{lon2}\n")
      .split
      .last
      .to_f
  end

  # Easting, northing, convergence and scale of UTM: GeographicLib's exact transverse Mercator, which
  # shares no code with PROJ.
  def transverse_mercator(lon, lat, central:, ellipsoid: [6_378_137, "1/298.257222101"])
    x, y, convergence, scale =
      outside(
        "TransverseMercatorProj",
        "-l",
        central.to_s,
        "-k",
        "0.9996",
        "-p",
        "9",
        "-e",
        *ellipsoid.map(&:to_s),
        input: format("%.12f %.12f\n", lat, lon)
      ).split.map(&:to_f)
    {x: x + 500_000, y: y, convergence: convergence, scale: scale}
  end

  # The other way, from UTM on GRS 80: longitude and latitude in degrees, convergence and scale.
  def transverse_mercator_place(east, north, central:)
    lat, lon, convergence, scale =
      outside(
        "TransverseMercatorProj",
        "-r",
        "-l",
        central.to_s,
        "-k",
        "0.9996",
        "-p",
        "9",
        *%w[-e 6378137 1/298.257222101],
        input: format("%.6f %.6f\n", east - 500_000, north)
      ).split.map(&:to_f)
    {lon: lon, lat: lat, convergence: convergence, scale: scale}
  end

  # Easting and northing, in metres from one place to another, in a conic of two standard parallels on GRS 80 by
  # GeographicLib: option "-c", Lambert conformal, or "-a", Albers. (It measures northing from the latitude of least
  # scale, so only differences are of use.) Places as [lon, lat].
  def conic_shift(option, parallels, central, from, to)
    start, finish =
      outside(
        "ConicProj",
        option,
        *parallels.map(&:to_s),
        "-l",
        central.to_s,
        "-p",
        "6",
        *%w[-e 6378137 1/298.257222101],
        input: [from, to].map { |lon, lat| format("%.12f %.12f\n", lat, lon) }.join
      ).lines.map { |row| row.split.map(&:to_f) }
    [finish[0] - start[0], finish[1] - start[1]]
  end

  # Paths of a page as poppler sees them: [{style, points in mm from the top-left corner}].
  def poppler_paths(pdf, page)
    svg = outside("pdftocairo", "-svg", "-noshrink", "-nocenter", "-f", page.to_s, "-l", page.to_s, pdf, "-")
    svg
      .scan(%r{<path ([^>]*?)/>}m)
      .map do |(attributes)|
        matrix = attributes[/transform="matrix\(([^)]*)\)"/, 1]&.split(",")&.map(&:to_f) || [1, 0, 0, 1, 0, 0]
        numbers = attributes[/ d="([^"]*)"/, 1].to_s.scan(/-?[\d.]+/).map(&:to_f)
        points =
          numbers
            .each_slice(2)
            .select { |pair| pair.length == 2 }
            .map do |x, y|
              [
                (matrix[0] * x + matrix[2] * y + matrix[4]) * 25.4 / 72,
                (matrix[1] * x + matrix[3] * y + matrix[5]) * 25.4 / 72
              ]
            end
        {style: attributes, points: points}
      end
  end

  # What gdalinfo says of a page.
  def gdal_page(pdf, page) =
    JSON.parse(outside("gdalinfo", "-json", "--config", "GDAL_PDF_DPI", "600", "PDF:#{page}:#{pdf}"))

  # Ground coordinates of a place on the page (mm) by the affine map that gdalinfo reports.
  def gdal_ground(info, x_mm, y_mm)
    column = x_mm * 600 / 25.4
    row = y_mm * 600 / 25.4
    a, b, c, d, e, f = info["geoTransform"]
    [a + column * b + row * c, d + column * e + row * f]
  end
end
