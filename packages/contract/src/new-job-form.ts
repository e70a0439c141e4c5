import { IsIn, IsInt, IsNotEmpty, IsString, Max, MaxLength, Min } from 'class-validator';

/** The three questions of a new job, as the form holds them; lengths already in mm. */
export class NewJobForm {
  @IsIn(['lightbox', 'halo', 'face-lit'])
  build: 'lightbox' | 'halo' | 'face-lit' = 'lightbox';

  @IsString()
  @IsNotEmpty({ message: 'say what the sign says' })
  @MaxLength(200, { message: 'at most 200 characters' })
  text = '';

  @Min(60, { message: 'at least 60 mm wide' })
  @Max(12_000, { message: 'at most 12 m wide' })
  widthMm = 800;

  @Min(60, { message: 'at least 60 mm high' })
  @Max(12_000, { message: 'at most 12 m high' })
  heightMm = 300;

  /** Of letters that are the piece itself. */
  @Min(20, { message: 'at least 20 mm high' })
  @Max(5000, { message: 'at most 5 m high' })
  capHeightMm = 200;

  @IsInt()
  @Min(200, { message: 'at least 200 mm' })
  @Max(200_000, { message: 'at most 200 m' })
  readingDistanceMm = 3000;
}
