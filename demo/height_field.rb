# frozen_string_literal: true

module Demo
  # The invented terrain of Skarrow Moss: a height in metres for any place, the same on every run.
  # Broad moor domes, valleys to three sides, value noise at several sizes, hollows for lochans.
  class HeightField
    WEST, SOUTH = 401_200.0, 6_526_200.0
    STEP = 10.0
    COLUMNS, ROWS = 561, 461
    # Hollows that hold lochans: place in km from the south-west corner, radius in km, depth in metres.
    HOLLOWS = [
      [2.25, 2.55, 0.15, 22],
      [3.05, 3.05, 0.1, 19],
      [1.45, 2.0, 0.11, 17],
      [3.75, 2.45, 0.09, 20],
      [2.75, 1.65, 0.08, 19],
      [1.75, 3.25, 0.07, 16],
      [4.1, 1.75, 0.06, 15]
    ].freeze

    attr_reader :grid

    def initialize
      @grid = Array.new(ROWS) { |row| Array.new(COLUMNS) { |column| raw(*self.class.place(row, column)) } }
    end

    def self.place(row, column) = [WEST + column * STEP, SOUTH + row * STEP]

    # Bilinear height at a place, metres.
    def at(x, y)
      column = ((x - WEST) / STEP).clamp(0, COLUMNS - 1.001)
      row = ((y - SOUTH) / STEP).clamp(0, ROWS - 1.001)
      c, r = column.floor, row.floor
      u, v = column - c, row - r
      (@grid[r][c] * (1 - u) + @grid[r][c + 1] * u) * (1 - v) +
        (@grid[r + 1][c] * (1 - u) + @grid[r + 1][c + 1] * u) * v
    end

    # Value noise with a smooth step, 0…1; the lattice values come from an integer hash.
    def self.noise(u, v, seed)
      i, j = u.floor, v.floor
      fu, fv = u - i, v - j
      su = fu * fu * fu * (fu * (fu * 6 - 15) + 10)
      sv = fv * fv * fv * (fv * (fv * 6 - 15) + 10)
      low = lattice(i, j, seed) * (1 - su) + lattice(i + 1, j, seed) * su
      high = lattice(i, j + 1, seed) * (1 - su) + lattice(i + 1, j + 1, seed) * su
      low * (1 - sv) + high * sv
    end

    def self.lattice(i, j, seed)
      hash = (i * 374_761_393 + j * 668_265_263 + seed * 974_711) & 0xffffffff
      hash = ((hash ^ (hash >> 13)) * 1_274_126_177) & 0xffffffff
      ((hash ^ (hash >> 16)) & 0xffff) / 65_535.0
    end

    private

    def raw(x, y)
      u = (x - WEST) / 1000.0
      v = (y - SOUTH) / 1000.0
      moor =
        312 + 84 * bump(u, v, 2.0, 2.9, 1.7, 1.2) + 52 * bump(u, v, 3.9, 2.2, 1.2, 1.0) +
        30 * bump(u, v, 1.0, 1.2, 0.9, 0.8) - 62 * bump(u, v, 5.4, 0.2, 1.6, 1.3) -
        44 * bump(u, v, 2.6, -0.2, 1.5, 0.9) - 46 * bump(u, v, 0.1, 3.9, 1.2, 1.3) -
        38 * bump(u, v, 5.3, 4.3, 1.2, 1.1)
      rough =
        26 * (n(u * 0.9, v * 0.9, 1) - 0.5) + 14 * (n(u * 2.1, v * 2.1, 2) - 0.5) + 9 * (n(u * 4.7, v * 4.7, 3) - 0.5) +
        4.5 * (n(u * 9.5, v * 9.5, 4) - 0.5) + 1.8 * (n(u * 19, v * 19, 5) - 0.5)
      moor + rough - HOLLOWS.sum { |cu, cv, radius, depth| depth * bump(u, v, cu, cv, radius * 1.25, radius) }
    end

    def n(u, v, seed) = self.class.noise(u, v, seed)

    def bump(u, v, cu, cv, ru, rv) = Math.exp(-(((u - cu) / ru)**2 + ((v - cv) / rv)**2))
  end
end
